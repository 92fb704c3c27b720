import { median, robustSd } from '../statistics';

/** Robust z above which a value stands apart (Iglewicz & Hoaglin 1993). */
export const ROBUST_Z_LIMIT = 3.5;
/** Fewer values than this have no spread worth trusting; the floor alone decides. */
export const MIN_FOR_SPREAD = 5;

export interface OutlierFinding {
	/** Index into the values given. */
	index: number;
	differenceFromMedian: number;
	/** Null with fewer than five values, infinite when the others are identical. */
	robustZ: number | null;
	outlier: boolean;
	/** The difference could be the meter's alone: it is within 1.96 sd of the difference of two readings. */
	withinMeterDoubt: boolean;
}

/**
 * Which values stand apart: robust z beyond 3.5 **and** beyond a floor that matters, and not explained by the meter.
 * @param values in any unit; @param floor smallest difference that matters, same unit (or a fraction with `relative`)
 * @param sd one standard deviation of each reading, same unit
 * @returns one finding a value, in the order given; empty for no values
 */
export function findOutliers(
	values: readonly number[],
	floor: { amount: number; relative: boolean },
	sd: number
): OutlierFinding[] {
	const centre = median(values);
	if (centre === null) return [];
	const spread = robustSd(values)!;
	const floorAmount = floor.relative ? floor.amount * Math.abs(centre) : floor.amount;
	return values.map((value, index) => {
		const differenceFromMedian = value - centre;
		const size = Math.abs(differenceFromMedian);
		const robustZ = values.length < MIN_FOR_SPREAD ? null : size === 0 ? 0 : size / spread;
		const withinMeterDoubt = size <= 1.96 * Math.SQRT2 * sd;
		const outlier = size > floorAmount && !withinMeterDoubt && (robustZ === null || robustZ > ROBUST_Z_LIMIT);
		return { index, differenceFromMedian, robustZ, outlier, withinMeterDoubt };
	});
}
