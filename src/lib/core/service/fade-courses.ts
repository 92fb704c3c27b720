import { normalCdf, normalQuantile } from '../shared';
import { FEWER_POINTS, fadePosterior, type FadeObservation, type FadePosterior } from './fade-posterior';

/** A capacity test of a battery in use. */
export interface CapacityObservation extends Omit<FadeObservation, 'efc'> {
	/** Equivalent full cycles at the time of the test; null or missing when nobody counted. */
	efc?: number | null;
}

/** One way things may have gone: how it was cycled where nobody counted, and how fast it falls late. */
export interface FadeCourse {
	/** How likely it is among the others; all sum to 1. */
	weight: number;
	/** Fall beside the law, `−c·t²`, /year². */
	latePerYear2: number;
	/** The observations, cycles filled in, in rising age; and cycles a year from the last on. */
	observations: FadeObservation[];
	efcPerYear: number;
	posterior: FadePosterior;
}

export interface FadeCourses {
	courses: FadeCourse[];
	/** Whether the tests left the band that the law foretold: doubts are then wider by `noiseFactor`, and a late course is admitted. */
	misfit: boolean;
	noiseFactor: number;
	/** The test that fits the law least; null without tests. */
	oddest: { ageYears: number; surprise: number } | null;
}

/** Cycles a year nobody counted, one sd (default). */
const UNCOUNTED = { mean: 150, sd: 75, points: 5 };
/** A late course falls by `c·t²`, c ≥ 0, half-normal (default), /year². */
const LATE = { sd: 0.0015, points: 9 };
/** The fit is doubted when so little chance would give so much scatter, or the last two tests both leave their band. */
const MISFIT_P = 0.02;
const BAND_SDS = 1.96;

/** Quantiles in the middle of so many equal parts of a normal law above 0. */
function above0(mean: number, sd: number, points: number): number[] {
	const below = normalCdf(-mean / sd);
	return Array.from(
		{ length: points },
		(_, i) => mean + sd * normalQuantile(below + (1 - below) * ((i + 0.5) / points))
	);
}

/** Chance that a sum of n squared standard normals exceeds x (Wilson & Hilferty 1931: the cube root is nearly normal). */
function chiSquareTail(x: number, n: number): number {
	const spread = 2 / (9 * n);
	return 1 - normalCdf((Math.cbrt(x / n) - (1 - spread)) / Math.sqrt(spread));
}

const squares = (values: readonly number[]) => values.reduce((sum, v) => sum + v * v, 0);

function isMisfit(surprises: readonly number[]): boolean {
	if (surprises.length === 0) return false;
	const lastTwo = surprises.slice(-2);
	const bothLeft = surprises.length > 2 && lastTwo.every((s) => Math.abs(s) > BAND_SDS);
	return bothLeft || chiSquareTail(squares(surprises), surprises.length) < MISFIT_P;
}

/** The same observations as they would be without a late course, with their doubt wider. */
const withoutLate = (observations: readonly FadeObservation[], c: number, ratedAh: number, noise: number) =>
	observations.map((o) => ({
		...o,
		capacityAh: o.capacityAh + c * o.ageYears ** 2 * ratedAh,
		sdAh: o.sdAh * noise
	}));

/**
 * The ways a battery may have faded, weighed by how well they foretell its tests. Cycles nobody counted are drawn from what is
 * usual; a late course is admitted, and doubts widened by what is left (Birge 1932), when the tests leave the band of the law.
 * @param efcPerYear cycles a year from the last test on; null when nobody knows
 */
export function fadeCourses(
	ratedAh: number,
	given: readonly CapacityObservation[],
	efcPerYear: number | null
): FadeCourses {
	const inAge = [...given].sort((a, b) => a.ageYears - b.ageYears);
	const uncounted = efcPerYear === null || inAge.some((o) => o.efc == null);
	const rates = uncounted ? above0(UNCOUNTED.mean, UNCOUNTED.sd, UNCOUNTED.points) : [0];
	const histories = rates.map((rate) => ({
		efcPerYear: efcPerYear ?? rate,
		observations: inAge.map((o) => ({ ...o, efc: o.efc ?? rate * o.ageYears }))
	}));
	const by = (lates: readonly number[], noise: number, points?: typeof FEWER_POINTS) =>
		histories.flatMap((history) =>
			lates.map((latePerYear2) => ({
				...history,
				latePerYear2,
				posterior: fadePosterior(ratedAh, withoutLate(history.observations, latePerYear2, ratedAh, noise), points)
			}))
		);
	const plain = by([0], 1, uncounted ? FEWER_POINTS : undefined);
	const best = likeliest(plain);
	const { surprises } = best.posterior;
	const misfit = isMisfit(surprises);
	const oddAt = surprises.reduce((most, s, i) => (Math.abs(s) > Math.abs(surprises[most]!) ? i : most), 0);
	const oddest = inAge.length ? { ageYears: inAge[oddAt]!.ageYears, surprise: surprises[oddAt]! } : null;
	if (!misfit) return { courses: weighed(plain), misfit, noiseFactor: 1, oddest };
	const lates = above0(0, LATE.sd, LATE.points);
	const left = likeliest(by(lates, 1, FEWER_POINTS)).posterior.surprises;
	const noiseFactor = Math.max(1, Math.sqrt(squares(left) / left.length));
	return { courses: weighed(by(lates, noiseFactor, FEWER_POINTS)), misfit, noiseFactor, oddest };
}

type Unweighed = Omit<FadeCourse, 'weight'>;

const likeliest = (courses: readonly Unweighed[]): Unweighed =>
	courses.reduce((best, one) => (one.posterior.logEvidence > best.posterior.logEvidence ? one : best));

function weighed(courses: readonly Unweighed[]): FadeCourse[] {
	const most = likeliest(courses).posterior.logEvidence;
	const weights = courses.map((c) => Math.exp(c.posterior.logEvidence - most));
	const all = weights.reduce((a, b) => a + b, 0);
	return courses.map((course, i) => ({ ...course, weight: weights[i]! / all }));
}
