import { WHOLE_BANK, say, type Subject, type Verdict } from '../verdicts';
import { HOLD_S, type ChargeProgress } from './progress';

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
	if (progress.done) return [say('balance-done', 'look', subject, { holdMinutes: HOLD_S / 60, flatA: progress.flatA })];
	const { phase, unmet, leadOhm } = progress;
	const missing = say('balance-unmet', 'calm', subject, { phase, unmet });
	const { last, supply } = progress;
	if (last && targets && supply === 'dead')
		return [say('supply-dead', 'look', subject, { cellV: last.cellV, setV: targets.setV }), missing];
	if (last && targets && supply === 'sags') {
		const { setV, setA } = targets;
		return [
			say('supply-sags', 'look', subject, { supplyV: last.supplyV!, setV, supplyA: last.supplyA, setA }),
			missing
		];
	}
	const costH = targets?.leadCostH ?? null;
	return phase === 'lead-limited' ? [say('lead-drop', 'look', subject, { leadOhm, costH }), missing] : [missing];
}
