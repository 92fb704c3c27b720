import { bisector } from 'd3-array';
import { CoreError, requireNotNegative, requirePositive } from '../errors';
import { temperatureFactor } from '../chemistry';
import type { CapacityObservation } from './cycle-histories';
import { narrowestInterval, weightedQuantiles } from './draw-quantiles';
import { fadeCourses, type FadeCourse, type FadeCourses } from './fade-courses';
import { FADE_PRIOR, type FadeTerm } from './fade-law';

export interface FadeInput {
	ratedAh: number;
	/** The end of life as a fraction of rated, e.g. 0.8. */
	endFraction: number;
	observations: readonly CapacityObservation[];
	/** Equivalent full cycles a year from the last observation on; null when nobody knows. */
	efcPerYear?: number | null;
	/** Ages at which cells were exchanged, years. */
	exchangedAt?: readonly number[];
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
	/** Age at which the end is passed (last, where an exchange lifted it again); {@link HORIZON_YEARS} means later than that. */
	endAgeYears: { low95: number; median: number; high95: number };
	/** The tests as they were taken: brought to 25 °C where their temperature is told; fractions of rated, one sd. In the order given. */
	tests: { ageYears: number; fraction: number; sd: number }[];
	posterior: {
		q0: ParameterSummary;
		a: ParameterSummary;
		b: ParameterSummary;
		observations: number;
		mostlyPrior: boolean;
		/** Chance that it falls faster by now than the law of its earlier years. */
		fallsFaster: number;
		/** The tests left the band of the law: their doubt counts `noiseFactor` times, and odder courses are admitted. */
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
/** Ages between which a course is taken as straight. */
const GRID_PER_YEAR = 4;
/** Tests closer than this (30 s) are of one moment. */
const SAME_MOMENT_YEARS = 1e-6;

/** A stretch of years over which cycles gather evenly. The last has no end. */
interface Stretch {
	fromYears: number;
	fromEfc: number;
	efcPerYear: number;
}

/** How the battery was and will be cycled: through the observations, then at the rate given. In rising age, from 0. */
function stretchesOf({ observations, efcPerYear }: Pick<FadeCourse, 'observations' | 'efcPerYear'>): Stretch[] {
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

const stretchAt = bisector((s: Stretch) => s.fromYears).right;

function efcAt(stretches: readonly Stretch[], ageYears: number): number {
	const { fromYears, fromEfc, efcPerYear } = stretches[Math.max(0, stretchAt(stretches, ageYears) - 1)]!;
	return fromEfc + efcPerYear * (ageYears - fromYears);
}

/** A course with its draws, and how it was and will be cycled by it. */
export interface Way {
	course: FadeCourse;
	stretches: Stretch[];
	/** Ages at which cells were exchanged, rising. */
	steps: number[];
	/** Rising, each end of a straight stretch among them. */
	grid: { ages: number[]; parts: Float64Array[] };
}

export const waysOf = (courses: readonly FadeCourse[]): Way[] =>
	courses.map((course) => {
		const stretches = stretchesOf(course);
		const lifted = course.draws.terms.flatMap((t) => t.stepYears ?? []).filter((years) => years < HORIZON_YEARS);
		const steps = [...new Set(lifted)].sort((a, b) => a - b);
		return { course, stretches, steps, grid: gridOf(course, stretches, steps) };
	});

/** The ages looked at, and what each part of the law stands for there. */
function gridOf({ draws }: FadeCourse, stretches: readonly Stretch[], steps: readonly number[]): Way['grid'] {
	const even = Array.from({ length: HORIZON_YEARS * GRID_PER_YEAR + 1 }, (_, i) => i / GRID_PER_YEAR);
	const kinks = stretches.map((s) => s.fromYears).filter((years) => years < HORIZON_YEARS);
	const ages = [...new Set([...even, ...kinks, ...steps])].sort((a, b) => a - b);
	const efc = ages.map((years) => efcAt(stretches, years));
	return { ages, parts: draws.terms.map((t) => Float64Array.from(ages, (years, i) => t.at(years, efc[i]!))) };
}

/** Of all draws of all ways, one after the other; they sum to 1. */
export const weightsOf = (ways: readonly Way[]): Float64Array =>
	joined(ways.map(({ course }) => course.draws.weight.map((w) => w * course.weight)));

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

/** @param mayBend the tests give a bend some chance: then both tails count alike, and the narrowest interval would leave the bend out */
function fadePoint(ways: readonly Way[], weight: Float64Array, ageYears: number, mayBend: boolean): FadePoint {
	const values = joined(
		ways.map(({ course: { draws }, stretches }) => {
			const efc = efcAt(stretches, ageYears);
			const own = new Float64Array(draws.weight.length);
			draws.terms.forEach((term, j) => {
				const part = term.at(ageYears, efc);
				for (let i = 0; i < own.length; i++) own[i]! += draws.values[j]![i]! * part;
			});
			return own;
		})
	);
	const mean = values.reduce((sum, v, i) => sum + v * weight[i]!, 0);
	const [low95, high95] = mayBend
		? (weightedQuantiles(values, weight, [0.025, 0.975]) as [number, number])
		: narrowestInterval(values, weight, 0.95);
	return { ageYears, mean, low95, high95 };
}

/**
 * For each draw the age at which it passes the end. Between exchanges the curve falls with age; where one lifted it above the end again,
 * the last passing counts.
 */
export function endAges({ course: { draws }, steps, grid: { ages, parts } }: Way, endFraction: number): Float64Array {
	const from = [0, ...steps].map((years) => ages.indexOf(years));
	return draws.weight.map((_, i) => {
		const above = (at: number) => parts.reduce((sum, part, j) => sum + draws.values[j]![i]! * part[at]!, -endFraction);
		for (let k = from.length - 1; k >= 0; k--) {
			// Cycled before the first moment told of, and past the end by then.
			if (above(from[k]!) <= 0) continue;
			let [low, high] = [from[k]!, (from[k + 1] ?? ages.length) - 1];
			if (above(high) > 0) return from[k + 1] === undefined ? HORIZON_YEARS : ages[high + 1]!;
			while (high - low > 1) {
				const middle = (low + high) >> 1;
				if (above(middle) > 0) low = middle;
				else high = middle;
			}
			const [more, less] = [above(low), above(high)];
			return ages[low]! + (more / (more - less)) * (ages[high]! - ages[low]!);
		}
		return 0;
	});
}

function requireFadeInput({ ratedAh, endFraction, efcPerYear, exchangedAt }: FadeInput): void {
	if (!(endFraction > 0 && endFraction < 1))
		throw new CoreError(
			'end-fraction',
			'endFraction',
			`endFraction requires a fraction between 0 and 1, got ${endFraction}`
		);
	if (efcPerYear != null) requireNotNegative(efcPerYear, 'efcPerYear');
	requirePositive(ratedAh, 'ratedAh');
	exchangedAt?.forEach((age, i) => requireNotNegative(age, `exchangedAt.${i}`));
}

/** From this chance of a bend on it is not left out of the band as the lesser tail. */
const MAY_BEND = 0.15;

/** An exchange is drawn as a step: this long before and after it. */
const STEP_YEARS = 0.001;

function curveAges(untilYears: number, exchangedAt: readonly number[]): number[] {
	const even = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (untilYears * i) / CURVE_POINTS);
	const steps = exchangedAt.filter((age) => age > STEP_YEARS && age < untilYears);
	return [...even, ...steps.flatMap((age) => [age - STEP_YEARS, age])].sort((a, b) => a - b);
}

/**
 * Capacity fade with its band and the range of ages at which it passes the chosen end. The band is that of the true
 * capacity, not of a new reading. A bend after which it falls faster is always admitted: its price is a band about 1.3 times as wide
 * where nothing bends.
 * @throws CoreError `end-fraction` outside 0..1, and those of `fadeCourses`
 */
export function projectFade(input: FadeInput): FadeProjection {
	requireFadeInput(input);
	const { ratedAh, observations, endFraction } = input;
	const exchangedAt = input.exchangedAt ?? [];
	const found = fadeCourses(ratedAh, observations, input.efcPerYear ?? null, exchangedAt);
	const ways = waysOf(found.courses);
	const weight = weightsOf(ways);
	const ends = joined(ways.map((way) => endAges(way, endFraction)));
	const [low95, median, high95] = weightedQuantiles(ends, weight, [0.025, 0.5, 0.975]);
	const posterior = summarise(found, weight, observations.length);
	const lastAge = Math.max(0, ...observations.map((o) => o.ageYears));
	const ahead = Math.min(median! * 1.1, lastAge * LONGEST_LOOK_AHEAD);
	const until = Math.min(HORIZON_YEARS, Math.max(SHORTEST_CURVE_YEARS, lastAge * 1.5, ahead));
	return {
		curve: curveAges(until, exchangedAt).map((age) => fadePoint(ways, weight, age, posterior.fallsFaster > MAY_BEND)),
		endAgeYears: { low95: low95!, median: median!, high95: high95! },
		tests: observations.map((o) => testAsTaken(o, ratedAh)),
		posterior
	};
}

function testAsTaken(
	{ ageYears, capacityAh, sdAh, temperatureC }: CapacityObservation,
	ratedAh: number
): FadeProjection['tests'][number] {
	const { factor, relativeSd } = temperatureC == null ? { factor: 1, relativeSd: 0 } : temperatureFactor(temperatureC);
	const fraction = (capacityAh * factor) / ratedAh;
	return { ageYears, fraction, sd: Math.hypot((sdAh * factor) / ratedAh, fraction * relativeSd) };
}

function summarise(
	{ courses, misfit, noiseFactor, oddest }: FadeCourses,
	weight: Float64Array,
	observations: number
): FadeProjection['posterior'] {
	const of = (name: FadeTerm['name']): ParameterSummary => {
		const values = joined(courses.map(({ draws }) => draws.values[draws.terms.findIndex((t) => t.name === name)]!));
		const mean = values.reduce((sum, v, i) => sum + v * weight[i]!, 0);
		return { mean, sd: Math.sqrt(values.reduce((sum, v, i) => sum + (v - mean) ** 2 * weight[i]!, 0)) };
	};
	const [q0, a, b] = [of('level'), of('calendar'), of('cycles')];
	const narrowed = a.sd < 0.7 * FADE_PRIOR.a.sd || b.sd < 0.7 * FADE_PRIOR.b.sd;
	const mostlyPrior = observations < PRIOR_OBSERVATIONS || !narrowed;
	const fallsFaster = courses.reduce((sum, c) => sum + (c.fallsFaster ? c.weight : 0), 0);
	return { q0, a, b, observations, mostlyPrior, fallsFaster, misfit, noiseFactor, oddest };
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
