import { CoreError } from '../errors';

/** A monotone curve through points: `at(x)` and its slope, and the inverse `xOf(y)` for a rising curve. */
export interface MonotoneCurve {
	/** Value at x; straight continuation with the end slopes given to {@link monotoneCurve}. */
	at(x: number): number;
	/** dy/dx at x. */
	slopeAt(x: number): number;
	/** x at which a rising curve takes the value y. */
	xOf(y: number): number;
}

/**
 * Piecewise cubic Hermite interpolation that keeps the data's monotonicity
 * (Fritsch & Carlson 1980, with the three-point end slopes of their paper's follow-up).
 * @param xs strictly rising abscissae; @param ys rising values of the same length (2 or more)
 * @param slopeBelow slope of the straight line left of the first point; @param slopeAbove right of the last
 * @throws CoreError `curve-points`
 */
export function monotoneCurve(
	xs: readonly number[],
	ys: readonly number[],
	slopeBelow: number,
	slopeAbove: number
): MonotoneCurve {
	const n = xs.length;
	if (n < 2 || ys.length !== n || xs.some((x, i) => i > 0 && !(x > xs[i - 1]!)))
		throw new CoreError(
			'curve-points',
			'xs',
			`xs requires 2 or more rising values with as many ys, got ${n} and ${ys.length}`
		);
	const slopes = pointSlopes(xs, ys);
	const segmentOf = (x: number) => {
		let low = 0;
		let high = n - 1;
		while (high - low > 1) {
			const middle = (low + high) >> 1;
			if (xs[middle]! <= x) low = middle;
			else high = middle;
		}
		return low;
	};
	const at = (x: number) => {
		if (x <= xs[0]!) return ys[0]! + slopeBelow * (x - xs[0]!);
		if (x >= xs[n - 1]!) return ys[n - 1]! + slopeAbove * (x - xs[n - 1]!);
		const i = segmentOf(x);
		const h = xs[i + 1]! - xs[i]!;
		const t = (x - xs[i]!) / h;
		const u = 1 - t;
		return (
			ys[i]! * u * u * (1 + 2 * t) +
			ys[i + 1]! * t * t * (3 - 2 * t) +
			h * t * u * (slopes[i]! * u - slopes[i + 1]! * t)
		);
	};
	const slopeAt = (x: number) => {
		if (x <= xs[0]!) return slopeBelow;
		if (x >= xs[n - 1]!) return slopeAbove;
		const i = segmentOf(x);
		const h = xs[i + 1]! - xs[i]!;
		const t = (x - xs[i]!) / h;
		return (
			(6 * t * (1 - t) * (ys[i + 1]! - ys[i]!)) / h +
			slopes[i]! * (1 - t) * (1 - 3 * t) +
			slopes[i + 1]! * t * (3 * t - 2)
		);
	};
	const xOf = (y: number) => {
		if (y <= ys[0]!) return slopeBelow > 0 ? xs[0]! + (y - ys[0]!) / slopeBelow : xs[0]!;
		if (y >= ys[n - 1]!) return slopeAbove > 0 ? xs[n - 1]! + (y - ys[n - 1]!) / slopeAbove : xs[n - 1]!;
		let low = xs[0]!;
		let high = xs[n - 1]!;
		for (let k = 0; k < 60; k++) {
			const middle = (low + high) / 2;
			if (at(middle) < y) low = middle;
			else high = middle;
		}
		return (low + high) / 2;
	};
	return { at, slopeAt, xOf };
}

function pointSlopes(xs: readonly number[], ys: readonly number[]): number[] {
	const n = xs.length;
	const h = xs.slice(1).map((x, i) => x - xs[i]!);
	const d = h.map((width, i) => (ys[i + 1]! - ys[i]!) / width);
	const slopes = new Array<number>(n).fill(0);
	for (let i = 1; i < n - 1; i++) {
		if (d[i - 1]! * d[i]! <= 0) continue;
		const w1 = 2 * h[i]! + h[i - 1]!;
		const w2 = h[i]! + 2 * h[i - 1]!;
		slopes[i] = (w1 + w2) / (w1 / d[i - 1]! + w2 / d[i]!);
	}
	slopes[0] = endSlope(h[0]!, h[1] ?? h[0]!, d[0]!, d[1] ?? d[0]!);
	slopes[n - 1] = endSlope(h[n - 2]!, h[n - 3] ?? h[n - 2]!, d[n - 2]!, d[n - 3] ?? d[n - 2]!);
	return slopes;
}

function endSlope(h0: number, h1: number, d0: number, d1: number): number {
	const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
	if (slope * d0 <= 0) return 0;
	return d0 * d1 <= 0 && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
}
