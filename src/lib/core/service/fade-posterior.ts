import { normalCdf, normalQuantile, requireFinite, requireNotNegative, requirePositive } from '../shared';

export interface FadeObservation {
	ageYears: number;
	/** Equivalent full cycles at the time of the test. */
	efc: number;
	capacityAh: number;
	/** One sd of the measured capacity, Ah. */
	sdAh: number;
}

/** Prior mean and sd of q0 (fraction), a (/√year, ≥ 0) and b (/EFC, ≥ 0): typical of published LFP ageing (default). */
export const FADE_PRIOR = {
	q0: { mean: 1.02, sd: 0.03 },
	a: { mean: 0.015, sd: 0.01 },
	b: { mean: 4e-5, sd: 2.5e-5 }
} as const;

/** Weighted draws from the posterior of q0, a and b; weights sum to 1. */
export interface FadePosterior {
	/** Each observation against what those before it foretold, in sd of both doubts; in the order given. */
	surprises: number[];
	/** Logarithm of how likely the observations are by the prior, up to what is the same for all courses. */
	logEvidence: number;
	q0: Float64Array;
	a: Float64Array;
	b: Float64Array;
	weight: Float64Array;
}

/** Points of the quadrature along a, b given a, and q0 given both. More changes the band by less than 0.0005. */
const POINTS = { a: 61, b: 15, q0: 9 };
/** Where several courses are weighed against each other, each takes fewer. */
export const FEWER_POINTS: typeof POINTS = { a: 25, b: 9, q0: 5 };
/** The grid along a reaches this many sd from its mean. */
const REACH_SDS = 5;

type Triple = [number, number, number];
type Matrix3 = [Triple, Triple, Triple];

/**
 * Posterior of `C/C_rated = q0 − a·√t − b·N`, Bayesian linear with normal doubts, a and b truncated at 0. The normal
 * posterior is exact; the truncation is integrated by quadrature: a on a grid weighted by P(b > 0 | a), then b given a
 * and q0 given both at equal-probability quantiles.
 * @param observations any order; none gives the prior
 * @throws CoreError `not-positive`, `negative`, `not-a-number`
 */
export function fadePosterior(
	ratedAh: number,
	observations: readonly FadeObservation[],
	points = POINTS
): FadePosterior {
	requirePositive(ratedAh, 'ratedAh');
	observations.forEach((o, i) => {
		requireNotNegative(o.ageYears, `observations.${i}.ageYears`);
		requireNotNegative(o.efc, `observations.${i}.efc`);
		requirePositive(o.capacityAh, `observations.${i}.capacityAh`);
		requirePositive(o.sdAh, `observations.${i}.sdAh`);
	});
	const { mean, covariance, surprises, logEvidence } = normalPosterior(ratedAh, observations);
	return { ...truncated(mean, covariance, points), surprises, logEvidence };
}

/** Sequential (Kalman) update of the normal prior, one observation at a time: no matrix is inverted. */
function normalPosterior(
	ratedAh: number,
	observations: readonly FadeObservation[]
): { mean: Triple; covariance: Matrix3; surprises: number[]; logEvidence: number } {
	const surprises: number[] = [];
	let logEvidence = 0;
	let mean: Triple = [FADE_PRIOR.q0.mean, FADE_PRIOR.a.mean, FADE_PRIOR.b.mean];
	let covariance: Matrix3 = [
		[FADE_PRIOR.q0.sd ** 2, 0, 0],
		[0, FADE_PRIOR.a.sd ** 2, 0],
		[0, 0, FADE_PRIOR.b.sd ** 2]
	];
	for (const o of observations) {
		const h: Triple = [1, -Math.sqrt(o.ageYears), -o.efc];
		const ph = covariance.map((row) => row[0] * h[0] + row[1] * h[1] + row[2] * h[2]) as Triple;
		const innovationVariance = h[0] * ph[0] + h[1] * ph[1] + h[2] * ph[2] + (o.sdAh / ratedAh) ** 2;
		const innovation = o.capacityAh / ratedAh - (h[0] * mean[0] + h[1] * mean[1] + h[2] * mean[2]);
		surprises.push(innovation / Math.sqrt(innovationVariance));
		logEvidence -= (innovation ** 2 / innovationVariance + Math.log(innovationVariance)) / 2;
		mean = mean.map((m, i) => m + (ph[i]! / innovationVariance) * innovation) as Triple;
		covariance = covariance.map((row, i) => row.map((c, j) => c - (ph[i]! * ph[j]!) / innovationVariance)) as Matrix3;
	}
	return { mean, covariance, surprises, logEvidence };
}

/** Quantile of a normal truncated to values above 0, from a probability of the truncated law. */
function truncatedQuantile(mean: number, sd: number, probability: number): number {
	const below = normalCdf(-mean / sd);
	const p = below + probability * (1 - below);
	// Far in the tail the remaining probability is lost to rounding; there the law is nearly exponential.
	if (1 - below < 1e-12) return (-Math.log(1 - probability) * sd * sd) / Math.max(-mean, sd);
	return Math.max(0, mean + sd * normalQuantile(Math.min(1 - 1e-15, Math.max(1e-15, p))));
}

function truncated(
	mean: Triple,
	covariance: Matrix3,
	points: typeof POINTS
): Omit<FadePosterior, 'surprises' | 'logEvidence'> {
	const sdA = Math.sqrt(covariance[1][1]);
	const slopeB = covariance[1][2] / covariance[1][1];
	const sdB = Math.sqrt(Math.max(1e-18, covariance[2][2] - slopeB * covariance[1][2]));
	const { slopes, sdQ } = conditionalOfQ0(covariance);
	const low = Math.max(0, mean[1] - REACH_SDS * sdA);
	// Where the density has fallen as far below its largest allowed value as REACH_SDS below a free mode.
	const high = mean[1] > 0 ? mean[1] + REACH_SDS * sdA : mean[1] + Math.hypot(mean[1], REACH_SDS * sdA);
	const count = points.a * points.b * points.q0;
	const draws = {
		q0: new Float64Array(count),
		a: new Float64Array(count),
		b: new Float64Array(count),
		weight: new Float64Array(count)
	};
	let n = 0;
	for (let i = 0; i < points.a; i++) {
		const a = low + ((high - low) * (i + 0.5)) / points.a;
		const meanB = mean[2] + slopeB * (a - mean[1]);
		const logWeight = -0.5 * ((a - mean[1]) / sdA) ** 2 + logNormalCdf(meanB / sdB);
		for (let j = 0; j < points.b; j++) {
			const b = truncatedQuantile(meanB, sdB, (j + 0.5) / points.b);
			const meanQ = mean[0] + slopes[0] * (a - mean[1]) + slopes[1] * (b - mean[2]);
			for (let k = 0; k < points.q0; k++, n++) {
				draws.a[n] = a;
				draws.b[n] = b;
				draws.q0[n] = meanQ + sdQ * normalQuantile((k + 0.5) / points.q0);
				draws.weight[n] = logWeight;
			}
		}
	}
	return { ...draws, weight: normalised(draws.weight) };
}

/** Weights that sum to 1 from their logarithms, however small all of them are. */
function normalised(logWeights: Float64Array): Float64Array {
	const largest = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
	const weights = logWeights.map((w) => Math.exp(w - largest));
	const total = weights.reduce((a, b) => a + b, 0);
	return weights.map((w) => w / total);
}

/** Logarithm of the normal distribution function, by its asymptote where the function itself underflows. */
function logNormalCdf(z: number): number {
	return z > -30 ? Math.log(normalCdf(z)) : -0.5 * z * z - Math.log(-z * Math.sqrt(2 * Math.PI));
}

/** Regression of q0 on a and b, and its residual sd, from the covariance of (q0, a, b). */
function conditionalOfQ0(c: Matrix3): { slopes: [number, number]; sdQ: number } {
	const det = c[1][1] * c[2][2] - c[1][2] * c[1][2];
	const slopes: [number, number] = [
		(c[0][1] * c[2][2] - c[0][2] * c[1][2]) / det,
		(c[0][2] * c[1][1] - c[0][1] * c[1][2]) / det
	];
	const variance = c[0][0] - slopes[0] * c[0][1] - slopes[1] * c[0][2];
	return { slopes, sdQ: Math.sqrt(Math.max(1e-14, requireFinite(variance, 'covariance'))) };
}

const BINS = 1024;

/**
 * Weighted quantiles of values; weights sum to 1, probabilities in any order. The values are counted into bins, and only
 * those in the bin a quantile falls into are sorted.
 */
export function weightedQuantiles(
	values: Float64Array,
	weight: Float64Array,
	probabilities: readonly number[]
): number[] {
	let [low, high] = [Infinity, -Infinity];
	for (let i = 0; i < values.length; i++) {
		if (values[i]! < low) low = values[i]!;
		if (values[i]! > high) high = values[i]!;
	}
	const perUnit = high > low ? (BINS - 1) / (high - low) : 0;
	const bins = new Uint16Array(values.length);
	const inBin = new Float64Array(BINS);
	for (let i = 0; i < values.length; i++) {
		bins[i] = (values[i]! - low) * perUnit;
		inBin[bins[i]!]! += weight[i]!;
	}
	return probabilities.map((probability) => {
		let sum = 0;
		let bin = 0;
		while (bin < BINS - 1 && sum + inBin[bin]! < probability) sum += inBin[bin++]!;
		const members: number[] = [];
		for (let i = 0; i < bins.length; i++) if (bins[i] === bin) members.push(i);
		members.sort((i, j) => values[i]! - values[j]!);
		const at = members.find((i) => (sum += weight[i]!) >= probability) ?? members.at(-1);
		return at === undefined ? high : values[at]!;
	});
}
