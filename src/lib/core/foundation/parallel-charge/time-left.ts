import { CoreError } from '../errors';
import { estimateTopCharge, type ParallelCharge } from './top-charge';

/** What is to be delivered is reckoned from rated capacities; these are off by so much of the row, and a counter by so much of what it counted (default). */
const DOUBT = { rowShare: 0.01, counted: 0.02 };
/** Leads are known to so much, and the estimate’s own law of the current (default). */
const LEADS = 0.05;
const LAW = 0.01;

export interface Delivered {
	toDeliverAh: { low: number; high: number };
	deliveredAh: number;
}

/**
 * Seconds until a row on its way reaches its tail, if it holds as much as it may and as little: full current, then what leads and cells let through,
 * then the taper (`estimateTopCharge`).
 * @param charge its leads as they were read, where they were
 * @returns null where leads let so little through that nobody can tell
 */
export function secondsToTail(
	charge: ParallelCharge,
	{ toDeliverAh, deliveredAh }: Delivered
): { low: number; high: number } | null {
	const { totalAh, leadOhm } = charge;
	const from = (missingAh: number) => 1 - Math.min(totalAh, Math.max(0, missingAh)) / totalAh;
	const least = toDeliverAh.low - deliveredAh * (1 + DOUBT.counted);
	const most = Math.max(0, toDeliverAh.high - deliveredAh * (1 - DOUBT.counted)) + DOUBT.rowShare * totalAh;
	try {
		const { durationS: low } = estimateTopCharge({ ...charge, leadOhm: (1 - LEADS) * leadOhm }, from(least));
		const { durationS: high } = estimateTopCharge({ ...charge, leadOhm: (1 + LEADS) * leadOhm }, from(most));
		return { low: (1 - LAW) * low, high: (1 + LAW) * high };
	} catch (error) {
		if (error instanceof CoreError) return null;
		throw error;
	}
}
