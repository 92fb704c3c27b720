export { type WholeModule, judgeModules, lowestHidden } from './judge-modules';
export { moduleVerdicts } from './module-verdicts';
