import { normalCdf, normalQuantile } from '../statistics';
import { requireFinite } from '../errors';
import { requireObservations, USUAL_LAW, type FadeObservation, type FadeTerm } from './fade-law';

/** Normal posterior of the coefficients of some terms, not yet cut off below 0. */
export interface NormalPosterior {
	terms: readonly FadeTerm[];
	mean: number[];
	covariance: number[][];
	/** Each observation against what those before it foretold, in sd of both doubts; in the order given. */
	surprises: number[];
	/** Logarithm of how likely the observations are, up to what is the same for all terms. */
	logEvidence: number;
}

/** Weighted draws of the coefficients that are not free, at 0 or above. */
export interface FadeDraws {
	terms: readonly FadeTerm[];
	/** By term, as the terms stand. */
	values: Float64Array[];
	/** They sum to 1. */
	weight: Float64Array;
	/** Logarithm of the share of the posterior above 0, over the share of the prior. */
	logAbove0: number;
}

/** Sequential (Kalman) update of the normal prior, one observation at a time: no matrix is inverted. */
export function normalPosterior(
	ratedAh: number,
	observations: readonly FadeObservation[],
	terms: readonly FadeTerm[]
): NormalPosterior {
	const surprises: number[] = [];
	let logEvidence = 0;
	const size = terms.length;
	const mean = terms.map((t) => t.prior.mean);
	const covariance = terms.map((t, i) => terms.map((_, j) => (i === j ? t.prior.sd ** 2 : 0)));
	const [h, ph] = [new Float64Array(size), new Float64Array(size)];
	// Plain loops: a thousand courses are weighed by this.
	for (const o of observations) {
		for (let i = 0; i < size; i++) h[i] = terms[i]!.at(o.ageYears, o.efc);
		let variance = (o.sdAh / ratedAh) ** 2;
		let innovation = o.capacityAh / ratedAh;
		for (let i = 0; i < size; i++) {
			ph[i] = 0;
			for (let j = 0; j < size; j++) ph[i]! += covariance[i]![j]! * h[j]!;
			variance += h[i]! * ph[i]!;
			innovation -= h[i]! * mean[i]!;
		}
		surprises.push(innovation / Math.sqrt(variance));
		logEvidence -= (innovation ** 2 / variance + Math.log(variance)) / 2;
		for (let i = 0; i < size; i++) {
			mean[i]! += (ph[i]! / variance) * innovation;
			for (let j = 0; j < size; j++) covariance[i]![j]! -= (ph[i]! * ph[j]!) / variance;
		}
	}
	return { terms, mean, covariance, surprises, logEvidence };
}

/** A root of a covariance; what rounding made negative is as good as known. */
function choleskyRoot(covariance: readonly (readonly number[])[]): number[][] {
	const root = covariance.map((row) => row.map(() => 0));
	covariance.forEach((row, i) => {
		for (let j = 0; j <= i; j++) {
			const rest = row[j]! - root[i]!.reduce((sum, x, k) => (k < j ? sum + x * root[j]![k]! : sum), 0);
			const known = 1e-14 * covariance[i]![i]! + Number.MIN_VALUE;
			root[i]![j] = i === j ? Math.sqrt(Math.max(known, requireFinite(rest, 'covariance'))) : rest / root[j]![j]!;
		}
	});
	return root;
}

const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53];

/** Points of the even sequences once worked out, by base. */
const worked: number[][] = [];

/** The n-th point of an even sequence in 0..1 in a dimension (Halton 1960), n from 1. */
const evenly = (n: number, dimension: number): number =>
	((worked[dimension % PRIMES.length] ??= [])[n] ??= halton(n, PRIMES[dimension % PRIMES.length]!));

function halton(n: number, base: number): number {
	let [at, share] = [0, 1];
	for (let rest = n; rest > 0; rest = Math.floor(rest / base)) {
		share /= base;
		at += share * (rest % base);
	}
	return at;
}

const EDGE = 1e-15;

/** A standard normal above a bound, from a probability; and the chance of lying above it. */
function aboveBound(bound: number, probability: number): { z: number; logChance: number } {
	// Far in the tail the remaining probability is lost to rounding; there the law is nearly exponential.
	if (bound > 7)
		return {
			z: bound - Math.log(1 - probability) / bound,
			logChance: -0.5 * bound * bound - Math.log(bound * Math.sqrt(2 * Math.PI))
		};
	const below = normalCdf(bound);
	const p = Math.min(1 - EDGE, Math.max(EDGE, below + probability * (1 - below)));
	return { z: Math.max(bound, normalQuantile(p)), logChance: Math.log(1 - below) };
}

/**
 * Draws of a normal posterior whose coefficients cannot be negative: one after the other given those before, above 0, weighed by the
 * chance of that (Geweke 1991, Hajivassiliou & Keane), at the points of an even sequence: the same for the same posterior.
 */
export function drawAbove0({ terms, mean, covariance }: NormalPosterior, count: number): FadeDraws {
	const root = choleskyRoot(covariance);
	const values = terms.map(() => new Float64Array(count));
	const logWeight = new Float64Array(count);
	const z = terms.map(() => 0);
	for (let n = 0; n < count; n++) {
		for (let j = 0; j < terms.length; j++) {
			let own = mean[j]!;
			for (let k = 0; k < j; k++) own += root[j]![k]! * z[k]!;
			const sd = root[j]![j]!;
			const even = evenly(n + 1, j);
			if (terms[j]!.isFree) z[j] = normalQuantile(even);
			else {
				const drawn = aboveBound(-own / sd, even);
				z[j] = drawn.z;
				logWeight[n]! += drawn.logChance;
			}
			values[j]![n] = terms[j]!.isFree ? own + sd * z[j]! : Math.max(0, own + sd * z[j]!);
		}
	}
	const largest = logWeight.reduce((a, b) => Math.max(a, b), -Infinity);
	const weight = logWeight.map((w) => Math.exp(w - largest));
	const total = weight.reduce((a, b) => a + b, 0);
	const prior = terms.reduce((sum, t) => (t.isFree ? sum : sum + Math.log(normalCdf(t.prior.mean / t.prior.sd))), 0);
	return {
		terms,
		values,
		weight: weight.map((w) => w / total),
		logAbove0: largest + Math.log(total / count) - prior
	};
}

const MANY = 4096;

/**
 * Posterior of the usual law from capacity tests.
 * @param observations any order; none gives the prior
 * @throws CoreError `not-positive`, `negative`, `not-a-number`
 */
export function fadePosterior(ratedAh: number, observations: readonly FadeObservation[]): FadeDraws {
	requireObservations(ratedAh, observations);
	return drawAbove0(normalPosterior(ratedAh, observations, USUAL_LAW), MANY);
}
