export { evidenceOfEarlierLots, type TestedLot } from './earlier-lots';
export { cellOfFileName } from './file-names';
export { medianCurve } from './median-curve';
export { curveDifference, usualCurve, type DischargeCurve } from './overlay';
export { judgeResults, type CellResult } from './judge-results';
export { analyseLog, analyseRun, type RunAnalysis, type RunOptions, type RunSamples } from './analyse-run';
export {
	DECISION_PROBABILITY,
	REPEATS_SD,
	TESTER_GAIN_SD,
	judgeCapacity,
	type CapacityBound,
	type CapacityJudgement,
	type LotEvidence
} from './judge-capacity';
export {
	estimateTesters,
	jointCapacities,
	type JointCapacity,
	type StandardRun,
	type TesterGain,
	type TesterRun,
	type TestersApart
} from './joint-capacity';
export { judgeTesting, type RefusedRun, type TestedCell } from './judge-testing';
export { splitChannels, type LogChannel } from './log-channels';
export { type LogColumn, type LogColumns } from './log-columns';
export type { FaultCode, LogFault } from './log-fault';
export { parseLog, type ParsedLog } from './parse-log';
export {
	CORRECTIONS,
	LARGEST_CORRECTION,
	toStandardConditions,
	type Correction,
	type CorrectionStep,
	type StandardCapacity
} from './standard-conditions';
export { twoWireShare } from './two-wire';
export { nextRuns, type NextRuns, type UndecidedCell } from './next-run';
export { thinCurve } from './thin-curve';
export { contradict, judgeRun, resultQuestions, slippedResult, type SlippedResult } from './plausible-run';
export {
	capacitiesAtTemperature,
	usualShare,
	weakAtTemperature,
	type AtTemperature,
	type HeldRun,
	type MissedTemperature,
	type RoomRun
} from './at-temperature';
