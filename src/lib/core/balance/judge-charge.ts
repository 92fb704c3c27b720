import { WHOLE_BANK, say, type Subject, type Verdict } from '../verdicts';
import { HOLD_S, type ChargeProgress } from './progress';

/**
 * What to think of a running charge: whether to end it, what is still missing, and leads that pass for fullness.
 * @param subject the bank whose row is charged
 */
export function chargeVerdicts(progress: ChargeProgress, subject: Subject = WHOLE_BANK): Verdict[] {
	if (progress.done) return [say('balance-done', 'look', subject, { holdMinutes: HOLD_S / 60, flatA: progress.flatA })];
	const { phase, unmet, leadOhm } = progress;
	const missing = say('balance-unmet', 'calm', subject, { phase, unmet });
	return phase === 'lead-limited' ? [say('lead-drop', 'look', subject, { leadOhm }), missing] : [missing];
}
