import { requireNotNegative } from '../../foundation/errors';
import type { Interval } from '../../foundation/statistics';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** A supply’s count of Ah, and what a type’s cells really hold, one sd as a share (default); a charge loses so much. */
const COUNT_SD = 0.02;
const CAPACITY_SD = 0.014;
const EFFICIENCY = { likely: 0.995, sd: 0.005 };

/**
 * What a row held when its charge began, as a share of full, worked back from what went in until it was full.
 * @param tested whether its capacities were measured: then they are known to a quarter of the usual doubt
 */
export function arrivalByCharge(deliveredAh: number, totalAh: number, tested: boolean): Interval {
	requireNotNegative(deliveredAh, 'deliveredAh');
	const inside = (deliveredAh * EFFICIENCY.likely) / totalAh;
	const sd = inside * Math.hypot(COUNT_SD, tested ? CAPACITY_SD / 4 : CAPACITY_SD, EFFICIENCY.sd);
	// The tail ends a little beyond full, or short of it.
	const half = 1.96 * Math.hypot(sd, 0.004);
	const share = (v: number) => Math.min(1, Math.max(0, v));
	return { low95: share(1 - inside - half), likely: share(1 - inside), high95: share(1 - inside + half) };
}

/** What the row arrived with, unless more is said to have gone in than an empty one takes. */
export function judgeArrival(
	{ low, high }: { low: number; high: number },
	totalAh: number,
	tested: boolean,
	subject: Subject
): Verdict {
	// A counter that may have begun anew leaves two answers: the interval holds both.
	const [most, least] = [arrivalByCharge(low, totalAh, tested), arrivalByCharge(high, totalAh, tested)];
	const share = { low95: least.low95, likely: (least.likely + most.likely) / 2, high95: most.high95 };
	const deliveredAh = low === high ? high : (low + high) / 2;
	return share.high95 > 0
		? say('arrival-by-charge', 'calm', subject, { deliveredAh, totalAh, share })
		: say('arrival-too-much', 'look', subject, { deliveredAh, totalAh });
}
