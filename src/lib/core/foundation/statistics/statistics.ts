import { mean as meanOf, median as medianOf } from 'd3-array';
import { CoreError } from '../errors';

/** Median of finite numbers in any order; the mean of the middle two for an even count. `null` when empty. */
export function median(values: readonly number[]): number | null {
	return medianOf(values) ?? null;
}

/**
 * Robust standard deviation: 1.4826 × the median absolute deviation (Hampel 1974; the factor makes it
 * agree with the standard deviation of normal data). `null` when empty.
 */
export function robustSd(values: readonly number[]): number | null {
	const centre = median(values);
	if (centre === null) return null;
	return 1.4826 * median(values.map((v) => Math.abs(v - centre)))!;
}

/** Arithmetic mean. `null` when empty. */
export function mean(values: readonly number[]): number | null {
	return meanOf(values) ?? null;
}

/** Spread of the cube root of χ² over its degrees, which is nearly normal (Wilson & Hilferty 1931). */
const cubeRootSpread = (degrees: number): number => 2 / (9 * degrees);

/** Chance that the sum of so many squared standard normals exceeds x. */
export function chiSquareTail(x: number, degrees: number): number {
	const spread = cubeRootSpread(degrees);
	return 1 - normalCdf((Math.cbrt(x / degrees) - (1 - spread)) / Math.sqrt(spread));
}

/** What the sum of so many squared standard normals stays below with a probability. */
export function chiSquareQuantile(probability: number, degrees: number): number {
	const spread = cubeRootSpread(degrees);
	return degrees * (1 - spread + normalQuantile(probability) * Math.sqrt(spread)) ** 3;
}

/**
 * Standard normal distribution function, absolute error below 1e-14 in the range used here.
 * Marsaglia (2004), "Evaluating the normal distribution": Taylor series for |z| < 6, the asymptotic
 * continued fraction beyond.
 */
export function normalCdf(z: number): number {
	if (z < -38) return 0;
	if (z > 38) return 1;
	const density = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
	if (Math.abs(z) > 6) {
		let fraction = 0;
		for (let k = 40; k >= 1; k--) fraction = k / (Math.abs(z) + fraction);
		const tail = density / (Math.abs(z) + fraction);
		return z < 0 ? tail : 1 - tail;
	}
	let term = z;
	let sum = z;
	for (let k = 1; Math.abs(term) > 1e-17 * Math.abs(sum) && k < 500; k++) {
		term *= (z * z) / (2 * k + 1);
		sum += term;
	}
	return 0.5 + sum * density;
}

/**
 * Inverse of {@link normalCdf}: Acklam's rational approximation (2003) refined by one Halley step.
 * @throws CoreError `probability` outside 0..1 (exclusive)
 */
export function normalQuantile(probability: number): number {
	if (!(probability > 0 && probability < 1))
		throw new CoreError('probability', 'probability', `probability requires 0 < p < 1, got ${probability}`);
	if (probability > 0.5) return -normalQuantile(1 - probability);
	const start = probability < 0.02425 ? tailStart(probability) : centralStart(probability);
	const density = Math.exp(-0.5 * start * start) / Math.sqrt(2 * Math.PI);
	if (density === 0) return start;
	const u = (normalCdf(start) - probability) / density;
	return start - u / (1 + (start * u) / 2);
}

function horner(coefficients: readonly number[], x: number): number {
	return coefficients.reduce((sum, c) => sum * x + c, 0);
}

function tailStart(p: number): number {
	const q = Math.sqrt(-2 * Math.log(p));
	return (
		horner(
			[
				-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
				2.938163982698783
			],
			q
		) / horner([0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1], q)
	);
}

function centralStart(p: number): number {
	const q = p - 0.5;
	const r = q * q;
	return (
		(horner(
			[
				-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
				2.506628277459239
			],
			r
		) *
			q) /
		horner([-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572, 1], r)
	);
}
