import { CoreError, requireNotNegative, requirePositive } from '../shared';
import { fadeCourses, type CapacityObservation, type FadeCourse, type FadeCourses } from './fade-courses';
import { FADE_PRIOR, weightedQuantiles } from './fade-posterior';

export interface FadeInput {
	ratedAh: number;
	/** The end of life as a fraction of rated, e.g. 0.8. */
	endFraction: number;
	observations: readonly CapacityObservation[];
	/** Equivalent full cycles a year from the last observation on; null when nobody knows. */
	efcPerYear?: number | null;
}

export interface FadePoint {
	ageYears: number;
	/** True capacity as a fraction of rated: posterior mean and central 95 %. */
	mean: number;
	low95: number;
	high95: number;
}

export interface ParameterSummary {
	mean: number;
	sd: number;
}

export interface FadeProjection {
	curve: FadePoint[];
	/** Age at which the end is passed; {@link HORIZON_YEARS} means later than that. */
	endAgeYears: { low95: number; median: number; high95: number };
	posterior: {
		q0: ParameterSummary;
		a: ParameterSummary;
		b: ParameterSummary;
		observations: number;
		mostlyPrior: boolean;
		/** The tests left the band of the law: their doubt counts `noiseFactor` times, and a late, steeper course is admitted. */
		misfit: boolean;
		noiseFactor: number;
		/** The test that fits least, and by how many sd it differs from what those before it foretold. */
		oddest: { ageYears: number; surprise: number } | null;
	};
}

/** The projection looks this far and no further: beyond, other things end a bank. */
export const HORIZON_YEARS = 60;
const CURVE_POINTS = 48;
const SHORTEST_CURVE_YEARS = 10;
/** The curve is drawn over at most so many times what was lived through. */
const LONGEST_LOOK_AHEAD = 3;
/** With fewer observations, or this little narrowing of a or b, the result is mainly the prior. */
const PRIOR_OBSERVATIONS = 2;

/** Tests closer than this (30 s) are of one moment. */
const SAME_MOMENT_YEARS = 1e-6;

/** A stretch of years over which cycles gather evenly. The last has no end. */
interface Stretch {
	fromYears: number;
	fromEfc: number;
	efcPerYear: number;
}

/** How the battery was and will be cycled: through the observations, then at the rate given. In rising age, from 0. */
function stretchesOf({ observations, efcPerYear }: FadeCourse): Stretch[] {
	const known = [{ ageYears: 0, efc: 0 }, ...observations];
	return known.flatMap(({ ageYears, efc }, i) => {
		const next = known[i + 1];
		if (!next) return [{ fromYears: ageYears, fromEfc: efc, efcPerYear }];
		const years = next.ageYears - ageYears;
		return years > SAME_MOMENT_YEARS
			? [{ fromYears: ageYears, fromEfc: efc, efcPerYear: Math.max(0, next.efc - efc) / years }]
			: [];
	});
}

function efcAt(stretches: readonly Stretch[], ageYears: number): number {
	const { fromYears, fromEfc, efcPerYear } = stretches.findLast((s) => s.fromYears <= ageYears) ?? stretches[0]!;
	return fromEfc + efcPerYear * (ageYears - fromYears);
}

/**
 * Capacity fade with its band and the range of ages at which it passes the chosen end. The band is that of the true
 * capacity, not of a new reading.
 * @throws CoreError `end-fraction` outside 0..1, and those of `fadePosterior`
 */
export function projectFade(input: FadeInput): FadeProjection {
	if (!(input.endFraction > 0 && input.endFraction < 1))
		throw new CoreError(
			'end-fraction',
			'endFraction',
			`endFraction requires a fraction between 0 and 1, got ${input.endFraction}`
		);
	if (input.efcPerYear != null) requireNotNegative(input.efcPerYear, 'efcPerYear');
	requirePositive(input.ratedAh, 'ratedAh');
	const found = fadeCourses(input.ratedAh, input.observations, input.efcPerYear ?? null);
	const ways = waysOf(found.courses);
	const weight = weightsOf(ways);
	const ends = joined(ways.map((way) => endAges(way, input.endFraction)));
	const [low95, median, high95] = weightedQuantiles(ends, weight, [0.025, 0.5, 0.975]);
	const lastAge = Math.max(0, ...input.observations.map((o) => o.ageYears));
	const ahead = Math.min(median! * 1.1, lastAge * LONGEST_LOOK_AHEAD);
	const until = Math.min(HORIZON_YEARS, Math.max(SHORTEST_CURVE_YEARS, lastAge * 1.5, ahead));
	const curve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => fadePoint(ways, weight, (until * i) / CURVE_POINTS));
	return {
		curve,
		endAgeYears: { low95: low95!, median: median!, high95: high95! },
		posterior: summarise(found, weight, input.observations.length)
	};
}

/** A course, and how it was and will be cycled by it. */
export interface Way {
	course: FadeCourse;
	stretches: Stretch[];
}

export const waysOf = (courses: readonly FadeCourse[]): Way[] =>
	courses.map((course) => ({ course, stretches: stretchesOf(course) }));

/** Of all draws of all ways, one after the other; they sum to 1. */
export const weightsOf = (ways: readonly Way[]): Float64Array =>
	joined(ways.map(({ course }) => course.posterior.weight.map((w) => w * course.weight)));

export function joined(parts: readonly Float64Array[]): Float64Array {
	if (parts.length === 1) return parts[0]!;
	const all = new Float64Array(parts.reduce((n, part) => n + part.length, 0));
	let at = 0;
	for (const part of parts) {
		all.set(part, at);
		at += part.length;
	}
	return all;
}

function fadePoint(ways: readonly Way[], weight: Float64Array, ageYears: number): FadePoint {
	const root = Math.sqrt(ageYears);
	const values = joined(
		ways.map(({ course: { posterior, latePerYear2 }, stretches }) => {
			const efc = efcAt(stretches, ageYears);
			const late = latePerYear2 * ageYears ** 2;
			return posterior.q0.map((q0, i) => q0 - posterior.a[i]! * root - posterior.b[i]! * efc - late);
		})
	);
	const mean = values.reduce((sum, v, i) => sum + v * weight[i]!, 0);
	const [low95, high95] = weightedQuantiles(values, weight, [0.025, 0.975]);
	return { ageYears, mean, low95: low95!, high95: high95! };
}

/** For each draw the age at which it passes the end. The curve falls with age because a, b, c ≥ 0: it passes once. */
export function endAges({ course: { posterior, latePerYear2: c }, stretches }: Way, endFraction: number): Float64Array {
	return posterior.q0.map((q0, i) => {
		const margin = q0 - endFraction;
		if (margin <= 0) return 0;
		const [a, b] = [posterior.a[i]!, posterior.b[i]!];
		const isPassedBy = ({ fromYears, fromEfc }: Stretch) =>
			a * Math.sqrt(fromYears) + b * fromEfc + c * fromYears ** 2 >= margin;
		// Cycled before the first moment told of, and past the end by then.
		if (isPassedBy(stretches[0]!)) return stretches[0]!.fromYears;
		const after = stretches.findIndex((s, k) => k > 0 && isPassedBy(s));
		const last = stretches.at(after < 0 ? -1 : after - 1)!;
		const age = c === 0 ? passedWithin(last, a, b, margin) : passedLate(last, a, b, c, margin);
		return Math.min(HORIZON_YEARS, age);
	});
}

/** With a late course no formula gives the age: halved until it is known to a day. */
const LATE_HALVINGS = 15;
function passedLate(
	{ fromYears, fromEfc, efcPerYear }: Stretch,
	a: number,
	b: number,
	c: number,
	margin: number
): number {
	let [low, high] = [fromYears, HORIZON_YEARS];
	for (let k = 0; k < LATE_HALVINGS; k++) {
		const t = (low + high) / 2;
		const lost = a * Math.sqrt(t) + b * (fromEfc + efcPerYear * (t - fromYears)) + c * t * t;
		if (lost < margin) low = t;
		else high = t;
	}
	return high;
}

/** Age, years, at which a·√t + b·N(t) reaches the margin in a stretch where N is linear: a quadratic in √t, solved without cancellation. */
function passedWithin({ fromYears, fromEfc, efcPerYear }: Stretch, a: number, b: number, margin: number): number {
	const rest = margin - b * (fromEfc - efcPerYear * fromYears);
	const root = (2 * rest) / (a + Math.sqrt(a * a + 4 * b * efcPerYear * rest));
	return root * root;
}

function summarise(
	{ courses, misfit, noiseFactor, oddest }: FadeCourses,
	weight: Float64Array,
	observations: number
): FadeProjection['posterior'] {
	const of = (name: 'q0' | 'a' | 'b'): ParameterSummary => {
		const values = joined(courses.map(({ posterior }) => posterior[name]));
		const mean = values.reduce((sum, v, i) => sum + v * weight[i]!, 0);
		return { mean, sd: Math.sqrt(values.reduce((sum, v, i) => sum + (v - mean) ** 2 * weight[i]!, 0)) };
	};
	const [q0, a, b] = [of('q0'), of('a'), of('b')];
	const narrowed = a.sd < 0.7 * FADE_PRIOR.a.sd || b.sd < 0.7 * FADE_PRIOR.b.sd;
	const mostlyPrior = observations < PRIOR_OBSERVATIONS || !narrowed;
	return { q0, a, b, observations, mostlyPrior, misfit, noiseFactor, oddest };
}

/** Half-width of an even doubt over its sd. */
const EVEN = Math.sqrt(3);
/** Cycles a year where only the rate of fading matters (default). */
const USUAL_EFC_PER_YEAR = 150;

/**
 * Capacity lost within the doubt of a test's time, one sd as a fraction of rated, by the prior law: a test whose date is only
 * roughly known tells that much less.
 * @param halfWidthYears how far off the time may be; not longer than the battery is old
 */
export function fadeMeanwhile(ageYears: number, halfWidthYears: number): number {
	const half = Math.min(halfWidthYears, ageYears);
	const lost = (years: number) => FADE_PRIOR.a.mean * Math.sqrt(years) + FADE_PRIOR.b.mean * USUAL_EFC_PER_YEAR * years;
	return (lost(ageYears + half) - lost(ageYears - half)) / 2 / EVEN;
}
