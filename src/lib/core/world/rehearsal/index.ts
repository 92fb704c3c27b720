export {
	DEFECT_KINDS,
	DEFECT_NAMES,
	DEFECT_WHERE,
	hiddenDefects,
	type Defect,
	type DefectKind,
	type Finding
} from './defects';
export { drawScenario, scenarioOfSeed, type CrateWish } from './draw-scenario';
export { findingsOf, type BuiltPicture } from './findings';
export { judgeRehearsal, type JudgedDefect, type RehearsalEnd, type RehearsalJudgement } from './judge-rehearsal';
export { READY_SCENARIOS, readyScenario, readyScenarios, type ReadyScenario } from './ready';
