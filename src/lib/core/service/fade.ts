import { CoreError, requireNotNegative, requirePositive } from '../shared';
import {
	FADE_PRIOR,
	fadePosterior,
	weightedQuantiles,
	type FadeObservation,
	type FadePosterior
} from './fade-posterior';

export interface FadeInput {
	ratedAh: number;
	/** The end of life as a fraction of rated, e.g. 0.8. */
	endFraction: number;
	observations: readonly FadeObservation[];
	/** Equivalent full cycles a year from the last observation on. */
	efcPerYear: number;
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
	};
}

/** The projection looks this far and no further: beyond, other things end a bank. */
export const HORIZON_YEARS = 60;
const CURVE_POINTS = 48;
const SHORTEST_CURVE_YEARS = 10;
/** With fewer observations, or this little narrowing of a or b, the result is mainly the prior. */
const PRIOR_OBSERVATIONS = 2;

/** Equivalent full cycles at an age: through the observations, then at the rate given. Rising. */
function efcAt(input: FadeInput): (ageYears: number) => number {
	const known = [{ ageYears: 0, efc: 0 }, ...[...input.observations].sort((a, b) => a.ageYears - b.ageYears)];
	return (ageYears) => {
		const last = known[known.length - 1];
		if (ageYears >= last.ageYears) return last.efc + input.efcPerYear * (ageYears - last.ageYears);
		const next = known.findIndex((k) => k.ageYears > ageYears);
		const [from, to] = [known[next - 1], known[next]];
		return from.efc + ((to.efc - from.efc) * (ageYears - from.ageYears)) / (to.ageYears - from.ageYears);
	};
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
	requireNotNegative(input.efcPerYear, 'efcPerYear');
	requirePositive(input.ratedAh, 'ratedAh');
	const draws = fadePosterior(input.ratedAh, input.observations);
	const efc = efcAt(input);
	const [low95, median, high95] = weightedQuantiles(
		endAges(draws, efc, input.endFraction),
		draws.weight,
		[0.025, 0.5, 0.975]
	);
	const lastAge = Math.max(0, ...input.observations.map((o) => o.ageYears));
	const until = Math.min(HORIZON_YEARS, Math.max(SHORTEST_CURVE_YEARS, lastAge * 1.5, median * 1.1));
	const curve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => fadePoint(draws, efc, (until * i) / CURVE_POINTS));
	return { curve, endAgeYears: { low95, median, high95 }, posterior: summarise(draws, input.observations.length) };
}

function capacityFractions(draws: FadePosterior, ageYears: number, efc: number): Float64Array {
	const root = Math.sqrt(ageYears);
	return draws.q0.map((q0, i) => q0 - draws.a[i] * root - draws.b[i] * efc);
}

function fadePoint(draws: FadePosterior, efc: (age: number) => number, ageYears: number): FadePoint {
	const values = capacityFractions(draws, ageYears, efc(ageYears));
	const [low95, high95] = weightedQuantiles(values, draws.weight, [0.025, 0.975]);
	return { ageYears, mean: values.reduce((sum, v, i) => sum + v * draws.weight[i], 0), low95, high95 };
}

/** For each draw the age at which it passes the end, by bisection: the curve falls with age because a, b ≥ 0. */
function endAges(draws: FadePosterior, efc: (age: number) => number, endFraction: number): Float64Array {
	return draws.q0.map((q0, i) => {
		const above = (age: number) => q0 - draws.a[i] * Math.sqrt(age) - draws.b[i] * efc(age) > endFraction;
		if (above(HORIZON_YEARS)) return HORIZON_YEARS;
		let low = 0;
		let high = HORIZON_YEARS;
		for (let k = 0; k < 30; k++) {
			const middle = (low + high) / 2;
			if (above(middle)) low = middle;
			else high = middle;
		}
		return (low + high) / 2;
	});
}

function summarise(draws: FadePosterior, observations: number): FadeProjection['posterior'] {
	const of = (values: Float64Array): ParameterSummary => {
		const mean = values.reduce((sum, v, i) => sum + v * draws.weight[i], 0);
		return { mean, sd: Math.sqrt(values.reduce((sum, v, i) => sum + (v - mean) ** 2 * draws.weight[i], 0)) };
	};
	const [q0, a, b] = [of(draws.q0), of(draws.a), of(draws.b)];
	const narrowed = a.sd < 0.7 * FADE_PRIOR.a.sd || b.sd < 0.7 * FADE_PRIOR.b.sd;
	return { q0, a, b, observations, mostlyPrior: observations < PRIOR_OBSERVATIONS || !narrowed };
}
