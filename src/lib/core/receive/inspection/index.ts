export { ALL_GOOD, stopReasons, swelling } from './inspection';
export { judgeInspections } from './judge-inspections';
export { judgePromisedTerminals, judgeUnlike } from './judge-unlike';
