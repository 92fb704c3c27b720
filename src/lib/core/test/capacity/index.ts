export {
	type AtTemperature,
	type HeldRun,
	type RoomRun,
	capacitiesAtTemperature,
	usualShare,
	weakAtTemperature
} from './at-temperature';
export { evidenceOfEarlierLots } from './earlier-lots';
export {
	type CapacityBound,
	type CapacityJudgement,
	type LotEvidence,
	REPEATS_SD,
	judgeCapacity
} from './judge-capacity';
export { type RefusedRun, type TestedCell, judgeTesting } from './judge-testing';
export { medianCurve } from './median-curve';
export { type DischargeCurve, curveDifference, usualCurve } from './overlay';
export { contradict, judgeRun, resultQuestions, slippedResult } from './plausible-run';
export { type CorrectionStep, toStandardConditions } from './standard-conditions';
export { twoWireShare } from './two-wire';
