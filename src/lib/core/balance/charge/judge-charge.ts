import { OVER_LIMIT_METER_V, say } from '../verdicts';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { HOLD_S, type ChargeProgress } from '../../foundation/parallel-charge';

/** The cells stood above their limit when they were read last, whatever else is so; null: they did not, or nobody read them. */
export const rowOver = ({ last }: ChargeProgress, limitV: number, subject: Subject = WHOLE_BANK): Verdict | null =>
	last?.cellV != null && last.cellV > limitV + OVER_LIMIT_METER_V
		? say('row-over', 'stop', subject, { readV: last.cellV, limitV })
		: null;

/**
 * What to think of a running charge: whether to end it, what is still missing, and leads that pass for fullness.
 * @param subject the bank whose row is charged
 * @param targets what the supply is set to, and what its leads cost against some of a quarter; null: not known
 */
export function chargeVerdicts(
	progress: ChargeProgress,
	subject: Subject = WHOLE_BANK,
	targets: { setV: number; setA: number; leadCostH: number | null } | null = null
): Verdict[] {
	const { last, supply, displayV } = progress;
	if (progress.done) return [say('balance-done', 'look', subject, { holdMinutes: HOLD_S / 60, flatA: progress.flatA })];
	const { phase, unmet, leadOhm } = progress;
	const missing = say('balance-unmet', 'calm', subject, { phase, unmet });
	if (last && targets && supply === 'dead')
		return [say('supply-dead', 'look', subject, { cellV: last.cellV, setV: targets.setV }), missing];
	if (last && targets && supply === 'sags') {
		const { setV, setA } = targets;
		return [
			say('supply-sags', 'look', subject, { supplyV: last.supplyV!, setV, supplyA: last.supplyA, setA }),
			missing
		];
	}
	if (displayV && targets) return [say('supply-display', 'look', subject, { displayV, setV: targets.setV }), missing];
	const costH = targets?.leadCostH ?? null;
	return phase === 'lead-limited' ? [say('lead-drop', 'look', subject, { leadOhm, costH }), missing] : [missing];
}
