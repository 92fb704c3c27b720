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

/** Tests closer than this (30 s) are of one moment. */
const SAME_MOMENT_YEARS = 1e-6;

/** A stretch of years over which cycles gather evenly. The last has no end. */
interface Stretch {
	fromYears: number;
	fromEfc: number;
	efcPerYear: number;
}

/** How the battery was and will be cycled: through the observations, then at the rate given. In rising age, from 0. */
function stretchesOf({ observations, efcPerYear }: FadeInput): Stretch[] {
	const known = [{ ageYears: 0, efc: 0 }, ...[...observations].sort((a, b) => a.ageYears - b.ageYears)];
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
	requireNotNegative(input.efcPerYear, 'efcPerYear');
	requirePositive(input.ratedAh, 'ratedAh');
	const draws = fadePosterior(input.ratedAh, input.observations);
	const stretches = stretchesOf(input);
	const [low95, median, high95] = weightedQuantiles(
		endAges(draws, stretches, input.endFraction),
		draws.weight,
		[0.025, 0.5, 0.975]
	);
	const lastAge = Math.max(0, ...input.observations.map((o) => o.ageYears));
	const until = Math.min(HORIZON_YEARS, Math.max(SHORTEST_CURVE_YEARS, lastAge * 1.5, median! * 1.1));
	const curve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
		const ageYears = (until * i) / CURVE_POINTS;
		return fadePoint(draws, ageYears, efcAt(stretches, ageYears));
	});
	return {
		curve,
		endAgeYears: { low95: low95!, median: median!, high95: high95! },
		posterior: summarise(draws, input.observations.length)
	};
}

function fadePoint(draws: FadePosterior, ageYears: number, efc: number): FadePoint {
	const root = Math.sqrt(ageYears);
	const values = new Float64Array(draws.q0.length);
	let mean = 0;
	for (let i = 0; i < values.length; i++) {
		values[i] = draws.q0[i]! - draws.a[i]! * root - draws.b[i]! * efc;
		mean += values[i]! * draws.weight[i]!;
	}
	const [low95, high95] = weightedQuantiles(values, draws.weight, [0.025, 0.975]);
	return { ageYears, mean, low95: low95!, high95: high95! };
}

/** For each draw the age at which it passes the end. The curve falls with age because a, b ≥ 0: it passes once. */
function endAges(draws: FadePosterior, stretches: readonly Stretch[], endFraction: number): Float64Array {
	return draws.q0.map((q0, i) => {
		const margin = q0 - endFraction;
		if (margin <= 0) return 0;
		const [a, b] = [draws.a[i], draws.b[i]];
		const isPassedBy = ({ fromYears, fromEfc }: Stretch) => a! * Math.sqrt(fromYears) + b! * fromEfc >= margin;
		// Cycled before the first moment told of, and past the end by then.
		if (isPassedBy(stretches[0]!)) return stretches[0]!.fromYears;
		const after = stretches.findIndex((s, k) => k > 0 && isPassedBy(s));
		return Math.min(HORIZON_YEARS, passedWithin(stretches.at(after < 0 ? -1 : after - 1)!, a!, b!, margin));
	});
}

/** Age, years, at which a·√t + b·N(t) reaches the margin in a stretch where N is linear: a quadratic in √t, solved without cancellation. */
function passedWithin({ fromYears, fromEfc, efcPerYear }: Stretch, a: number, b: number, margin: number): number {
	const rest = margin - b * (fromEfc - efcPerYear * fromYears);
	const root = (2 * rest) / (a + Math.sqrt(a * a + 4 * b * efcPerYear * rest));
	return root * root;
}

function summarise(draws: FadePosterior, observations: number): FadeProjection['posterior'] {
	const of = (values: Float64Array): ParameterSummary => {
		const mean = values.reduce((sum, v, i) => sum + v * draws.weight[i]!, 0);
		return { mean, sd: Math.sqrt(values.reduce((sum, v, i) => sum + (v - mean) ** 2 * draws.weight[i]!, 0)) };
	};
	const [q0, a, b] = [of(draws.q0), of(draws.a), of(draws.b)];
	const narrowed = a.sd < 0.7 * FADE_PRIOR.a.sd || b.sd < 0.7 * FADE_PRIOR.b.sd;
	return { q0, a, b, observations, mostlyPrior: observations < PRIOR_OBSERVATIONS || !narrowed };
}
