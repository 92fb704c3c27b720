import { normalCdf, normalQuantile } from '../statistics';
import type { FadeObservation } from './fade-law';

/** A capacity test of a battery in use. */
export interface CapacityObservation extends Omit<FadeObservation, 'efc'> {
	/** Equivalent full cycles at the time of the test; null or missing when nobody counted. */
	efc?: number | null;
	/** Of the cells in the test, °C; null or missing when nobody told. */
	temperatureC?: number | null;
}

/** One way a battery may have been cycled. */
export interface CycleHistory {
	/** How likely, beforehand; all sum to 1. */
	prior: number;
	/** Cycles at an age until the last test. */
	efcAt(ageYears: number): number;
	/** From the last test on. */
	efcPerYear: number;
}

/** Cycles a year nobody counted, one sd (default). */
const UNCOUNTED = { mean: 150, sd: 75, points: 5 };
/** The use may have changed once, half the time (default): a season in the yard, then a family aboard. */
const TWO_WAYS = { prior: 0.5, points: 3, changedAt: [0.3, 0.7] };

/** Quantiles in the middle of so many equal parts of a normal law above 0. */
function above0(mean: number, sd: number, points: number): number[] {
	const below = normalCdf(-mean / sd);
	return Array.from(
		{ length: points },
		(_, i) => mean + sd * normalQuantile(below + (1 - below) * ((i + 0.5) / points))
	);
}

/**
 * The ways a battery may have been cycled between and before its tests. Counted throughout and with a known future there is one.
 * @param observations in rising age
 * @param efcPerYear cycles a year from the last test on; null when nobody knows
 */
export function cycleHistories(
	observations: readonly CapacityObservation[],
	efcPerYear: number | null
): CycleHistory[] {
	const lastYears = observations.at(-1)?.ageYears ?? 0;
	const isCounted = observations.every((o) => o.efc != null);
	if (isCounted && efcPerYear !== null) return [{ prior: 1, efcAt: () => 0, efcPerYear }];
	const steady = above0(UNCOUNTED.mean, UNCOUNTED.sd, UNCOUNTED.points).map((rate) => ({
		prior: 1 / UNCOUNTED.points,
		efcAt: (years: number) => rate * years,
		efcPerYear: efcPerYear ?? rate
	}));
	if (isCounted || lastYears === 0) return steady;
	const rates = above0(UNCOUNTED.mean, UNCOUNTED.sd, TWO_WAYS.points);
	const changed = rates.flatMap((before) =>
		rates
			.filter((after) => after !== before)
			.flatMap((after) =>
				TWO_WAYS.changedAt.map((share) => {
					const at = share * lastYears;
					return {
						prior: 1,
						efcAt: (years: number) => before * Math.min(years, at) + after * Math.max(0, years - at),
						efcPerYear: efcPerYear ?? after
					};
				})
			)
	);
	return [
		...steady.map((h) => ({ ...h, prior: h.prior * (1 - TWO_WAYS.prior) })),
		...changed.map((h) => ({ ...h, prior: TWO_WAYS.prior / changed.length }))
	];
}
