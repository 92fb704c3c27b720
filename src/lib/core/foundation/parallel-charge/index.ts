export type { ChargeReading } from './charge-reading';
export {
	type BalanceCell,
	type BalancePlan,
	cellsJoinedBy,
	chargeAfter,
	highestSetV,
	parallelBars,
	planTopBalance,
	rowTailA
} from './plan';
export { type ChargeProgress, type ChargeTargets, HOLD_S, judgeProgress } from './progress';
export { betweenSupplyAndCells } from './supply-display';
export { estimateTopCharge } from './top-charge';
export { PHASE_WORDS, unmetWords, type ChargePhase, type Unmet } from './phase-words';
export { TAIL_EACH_C_RATE } from './plan';
export { GUESSED_WITHIN } from './counter-sessions';
export { TAIL_C_RATE } from './plan';
