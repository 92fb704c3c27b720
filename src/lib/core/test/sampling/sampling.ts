import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';
import { normalCdf, normalQuantile } from '../../foundation/statistics';

const LOG_FACTORIALS: number[] = [0];
function logFactorial(n: number): number {
	for (let i = LOG_FACTORIALS.length; i <= n; i++) LOG_FACTORIALS.push(LOG_FACTORIALS[i - 1]! + Math.log(i));
	return LOG_FACTORIALS[n]!;
}
const logChoose = (n: number, k: number) =>
	k < 0 || k > n ? -Infinity : logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/** Chance of finding at most `found` bad among `tested`, when `bad` of `all` are (hypergeometric). */
export function chanceOfAtMost(found: number, tested: number, bad: number, all: number): number {
	let sum = 0;
	for (let k = 0; k <= found; k++)
		sum += Math.exp(logChoose(bad, k) + logChoose(all - bad, tested - k) - logChoose(all, tested));
	return Math.min(1, sum);
}

export interface Sample {
	/** Cells in all, and tested. */
	all: number;
	tested: number;
	/** Bad among the tested. */
	bad: number;
}

/** At most so many of all are bad, at 95 %: the largest number with which as few as were found would still come 1 time in 20. */
export function mostBad({ all, tested, bad }: Sample): number {
	const whole = (value: number, path: string, most: number) => {
		if (!Number.isInteger(value) || value < 0 || value > most)
			throw new CoreError('out-of-range', path, `${path} requires a whole number from 0 to ${most}, got ${value}`);
	};
	whole(all, 'all', 100_000);
	whole(tested, 'tested', all);
	whole(bad, 'bad', tested);
	let most = bad;
	while (most < all - (tested - bad) && chanceOfAtMost(bad, tested, most + 1, all) > UNLIKELY) most++;
	return most;
}
const UNLIKELY = 0.05;

/** The fewest to be tested, all found good, so that at most `allowed` of all are bad at 95 %. */
export function testsNeeded(all: number, allowed: number): number {
	for (let tested = 1; tested <= all; tested++) if (mostBad({ all, tested, bad: 0 }) <= allowed) return tested;
	return all;
}

/**
 * How many sd below the mean of a sample a share of all lies above, at a confidence (one-sided normal tolerance factor; Natrella 1963, with
 * the usual approximation to the noncentral t).
 * @param n measured, two or more; @param share e.g. 0.9 of all; @param confidence e.g. 0.95
 */
export function toleranceFactor(n: number, share: number, confidence: number): number {
	if (!Number.isInteger(n) || n < 2) throw new CoreError('too-few', 'n', `n requires two or more, got ${n}`);
	const zp = normalQuantile(share);
	const zg = normalQuantile(confidence);
	const a = 1 - zg ** 2 / (2 * (n - 1));
	const b = zp ** 2 - zg ** 2 / n;
	// With very few the approximation has no answer: nothing is said of the rest.
	if (a <= 0) return Infinity;
	return (zp + Math.sqrt(Math.max(0, zp ** 2 - a * b))) / a;
}

export interface Tolerance {
	meanAh: number;
	sdAh: number;
	/** At least this share of all cells has more than this, at 95 %; null: too few to say. */
	lowerAh: number | null;
	share: number;
}

/** Above which capacity nine in ten of all cells lie, by those measured, if they are one lot (normal). */
export function capacityOfTheRest(measuredAh: readonly number[], share = 0.9): Tolerance {
	measuredAh.forEach((v, i) => requirePositive(v, `measuredAh.${i}`));
	const n = measuredAh.length;
	const meanAh = measuredAh.reduce((a, b) => a + b, 0) / Math.max(1, n);
	const sdAh = n < 2 ? 0 : Math.sqrt(measuredAh.reduce((s, v) => s + (v - meanAh) ** 2, 0) / (n - 1));
	const k = n < 2 ? Infinity : toleranceFactor(n, share, 0.95);
	return { meanAh, sdAh, lowerAh: Number.isFinite(k) ? meanAh - k * sdAh : null, share };
}

/**
 * How likely another measurement of a cell decides whether it is short, when it is as it looks now: beyond 95 % on one side.
 * @param sdNowAh what is not known now; @param sdNextAh of the measurement by itself, Ah
 */
export function chanceOfDeciding(capacityAh: number, sdNowAh: number, sdNextAh: number, wantedAh: number): number {
	requirePositive(capacityAh, 'capacityAh');
	requirePositive(sdNowAh, 'sdNowAh');
	requireNotNegative(sdNextAh, 'sdNextAh');
	const after = 1 / Math.sqrt(1 / sdNowAh ** 2 + 1 / Math.max(1e-9, sdNextAh) ** 2);
	// The estimate after it lies about where it is now, by what the measurement still moves it.
	const moves = Math.sqrt(Math.max(0, sdNowAh ** 2 - after ** 2));
	const decided = normalQuantile(0.95) * after;
	const distance = wantedAh - capacityAh;
	if (moves === 0) return Math.abs(distance) > decided ? 1 : 0;
	return normalCdf((distance - decided) / moves) + normalCdf((-distance - decided) / moves);
}
