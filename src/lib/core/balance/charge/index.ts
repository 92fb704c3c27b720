export { betweenSupplyAndCells, type BetweenSupplyAndCells } from './supply-display';
export { afterPause, type AfterPause, type PauseChange, type PauseCheck, type PausedBalance } from './after-pause';
export { barOhms, judgeBars, rowCurrents, type BarReading, type BarRow, type RowCurrents } from './bar-row';
export { arrivalByCharge, judgeArrival } from './arrival-by-charge';
export { judgeLight, type StoppedReading } from './light';
export { readAgain } from './read-again';
export { judgeSettled, settledV, type SettledCell } from './settled';
export { chargeVerdicts, rowOver } from './judge-charge';
export { isBalanced, type BalanceAnswer, type BalanceQuestion, type BalancedEnd } from './is-balanced';
export { checkJoin, type JoinCheck } from './join';
export { USUAL_LINK_OHM, instantOhm } from './join-limits';
export {
	checkJoining,
	currentsJoined,
	firstCurrents,
	type JoinAnswer,
	type JoinInput,
	type JoinItem
} from './join-check';
export { joinedVerdicts, type JoinedCell } from './joined';
export {
	TAIL_C_RATE,
	chargeAfter,
	cellsJoinedBy,
	parallelBars,
	highestSetV,
	planTopBalance,
	rowTailA,
	type BalanceCell,
	type BalancePlan,
	type BalanceSetup
} from './plan';
export type { ChargeReading } from './charge-reading';
export { HOLD_S, judgeProgress, type ChargeProgress, type ChargeTargets } from './progress';
export { estimateTopCharge, type ChargeEstimate, type ParallelCharge } from './top-charge';
export { leftJoined, type LeftJoined } from './left-joined';
export { parallelHarness, type Harness, type HarnessLead, type LyingCell } from './parallel-harness';
