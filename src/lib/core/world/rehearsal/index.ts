export { DEFECT_KINDS, DEFECT_NAMES, DEFECT_WHERE, type DefectKind, type Finding, hiddenDefects } from './defects';
export { type CrateWish, drawScenario, scenarioOfSeed } from './draw-scenario';
export { type RehearsalEnd, type RehearsalJudgement, judgeRehearsal } from './judge-rehearsal';
export { READY_SCENARIOS, type ReadyScenario, readyScenario, readyScenarios } from './ready';
