import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { leakageByRefill, type Leakage } from './self-discharge';

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

/** A cell that was charged full, left alone, and perhaps charged again. */
export interface StorageTest {
	/** ISO 8601. */
	chargedAt: string;
	dueOn: string;
	refillAh: number | null;
	refillSdAh: number | null;
	refilledAt: string | null;
}
/** A counter nobody has described, one sd as a fraction of what it counted (default). */
const COUNTER_SD = 0.02;
const DAY_MS = 86_400_000;

/** What a test of self-discharge says: until when it stands, or what it lost. @param capacityAh what it holds, Ah; null: not known */
export function judgeStorageTest(
	cell: { id: number; label: string; storageTest: StorageTest | null },
	capacityAh: number | null
): Verdict[] {
	const test = cell.storageTest;
	if (!test) return [];
	const subject = cellSubject(cell);
	const { chargedAt, dueOn, refillAh, refillSdAh, refilledAt } = test;
	if (refillAh === null || refilledAt === null)
		return [say('self-discharge-waits', 'open', subject, { chargedAt, dueOn })];
	const days = (Date.parse(refilledAt) - Date.parse(chargedAt)) / DAY_MS;
	if (capacityAh === null)
		return [say('self-discharge-unknown', 'open', subject, { why: 'no-capacity', elapsedDays: days })];
	const sdAh = refillSdAh ?? COUNTER_SD * Math.abs(refillAh);
	return [judgeLeakage(leakageByRefill(capacityAh, { ah: refillAh, sdAh, days }), 'refill', subject)];
}
