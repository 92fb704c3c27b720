import { CoreError, requireFinite } from '../errors';
import { endAges, joined, waysOf, weightsOf, type FadeInput, type FadeProjection, type Way } from './fade';
import { weightedQuantiles } from './draw-quantiles';
import { fadeCourses } from './fade-courses';
import type { FadeTerm } from './fade-law';

/** How the battery would be kept from the last test on. */
export interface KeptOtherwise {
	/** Warmer (+) or colder (−) than so far on the mean of the year, K. */
	warmerK?: number;
	/** Mean state of charge so far and from now on, fractions. */
	meanSoc?: { now: number; then: number };
}

/** Calendar fade doubles per so many K (default). */
const DOUBLES_PER_K = 12;
/** Calendar fade at a mean charge of 50 and 90 %, relative (default). */
const BY_CHARGE = { low: { soc: 0.5, factor: 0.6 }, high: { soc: 0.9, factor: 1 } };
/** Both are known to half their effect, one sd: taken at three points of a normal law (Gauss & Hermite). */
const DOUBT = 0.5;
const POINTS = [
	{ z: -Math.sqrt(3), weight: 1 / 6 },
	{ z: 0, weight: 2 / 3 },
	{ z: Math.sqrt(3), weight: 1 / 6 }
];
/** Time never stands still altogether. */
const MIN_FACTOR = 0.05;

function byCharge(soc: number, path: string): number {
	if (!(soc >= 0 && soc <= 1))
		throw new CoreError('out-of-range', path, `${path} requires a fraction between 0 and 1, got ${soc}`);
	const { low, high } = BY_CHARGE;
	const within = Math.min(high.soc, Math.max(low.soc, soc));
	return low.factor + ((within - low.soc) / (high.soc - low.soc)) * (high.factor - low.factor);
}

/** How many times as fast time would fade it, likeliest. */
export function calendarFactor({ warmerK = 0, meanSoc }: KeptOtherwise): number {
	requireFinite(warmerK, 'warmerK');
	const warmth = 2 ** (warmerK / DOUBLES_PER_K);
	return meanSoc ? (warmth * byCharge(meanSoc.then, 'meanSoc.then')) / byCharge(meanSoc.now, 'meanSoc.now') : warmth;
}

/**
 * The age at which the chosen end would be passed if from the last test on the battery were kept otherwise: calendar fade goes on
 * from where it stands, times the factor; cycles as before. With no change the same as the projection.
 * @throws CoreError as `projectFade`, `out-of-range`
 */
export function endIfKept(input: FadeInput, change: KeptOtherwise): FadeProjection['endAgeYears'] {
	const factor = calendarFactor(change);
	const exchangedAt = input.exchangedAt ?? [];
	const { courses } = fadeCourses(input.ratedAh, input.observations, input.efcPerYear ?? null, exchangedAt);
	const ways = waysOf(courses);
	const weight = weightsOf(ways);
	const before = ways.map((way) => endAges(way, input.endFraction));
	const sinceYears = Math.max(0, ...input.observations.map((o) => o.ageYears));
	const points = factor === 1 ? [{ z: 0, weight: 1 }] : POINTS;
	const ends = points.map(({ z }) => {
		const own = Math.max(MIN_FACTOR, 1 + (factor - 1) * (1 + DOUBT * z));
		return joined(
			ways.map((way, w) => {
				const after = endAges(fadedBy(way, own, sinceYears), input.endFraction);
				return before[w]!.map((age, i) => (age <= sinceYears ? age : after[i]!));
			})
		);
	});
	const weights = joined(points.map((p) => weight.map((w) => w * p.weight)));
	const [low95, median, high95] = weightedQuantiles(joined(ends), weights, [0.025, 0.5, 0.975]);
	return { low95: low95!, median: median!, high95: high95! };
}

/** The same way with calendar fade times a factor from a moment on; it stands for what comes after that moment only. */
function fadedBy(way: Way, factor: number, sinceYears: number): Way {
	const { draws } = way.course;
	const at = (name: FadeTerm['name']) => draws.terms.findIndex((t) => t.name === name);
	const [level, calendar] = [at('level'), at('calendar')];
	const root = Math.sqrt(sinceYears);
	const values = [...draws.values];
	values[level] = values[level]!.map((q, i) => q + (factor - 1) * draws.values[calendar]![i]! * root);
	values[calendar] = values[calendar]!.map((a) => a * factor);
	return { ...way, course: { ...way.course, draws: { ...draws, values } } };
}
