import { say, type Subject, type Verdict } from '../verdicts';
import type { Leakage } from './self-discharge';

/** A healthy cell at about 20 °C loses no more, % a month (default; 2 is usual). */
export const HEALTHY_PERCENT = 3;

/** What a measured loss means for a cell. */
export function judgeLeakage(
	{ percentPerMonth, why, elapsedDays }: Leakage,
	by: 'refill' | 'voltages',
	subject: Subject
): Verdict {
	if (percentPerMonth === null) return say('self-discharge-unknown', 'open', subject, { why: why!, elapsedDays });
	const facts = { percentPerMonth: { ...percentPerMonth }, elapsedDays, by, healthyPercent: HEALTHY_PERCENT };
	if (percentPerMonth.low95 > HEALTHY_PERCENT) return say('self-discharge-high', 'look', subject, facts);
	if (percentPerMonth.high95 <= HEALTHY_PERCENT) return say('self-discharge-usual', 'calm', subject, facts);
	return say('self-discharge-unsure', 'open', subject, facts);
}
