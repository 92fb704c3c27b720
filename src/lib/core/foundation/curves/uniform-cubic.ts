import type { MonotoneCurve } from './pchip';
import { requirePositive } from '../errors';

/** A monotone curve on [0, 1] cut into equal bins, for loops that read it millions of times. */
export interface UniformCubic {
	bins: number;
	/** Four a bin: value = c0 + t·(c1 + t·(c2 + t·c3)), t from 0 to 1 within the bin. */
	coefficients: Float64Array;
	/** Integral of the curve from 0 to the start of each bin, and to 1. */
	integrals: Float64Array;
	below: number;
	above: number;
	slopeBelow: number;
	slopeAbove: number;
}

/**
 * The same curve as `curve` where every one of its knots falls on a bin's edge: a cubic cut anywhere stays that cubic.
 * @param bins equal bins over [0, 1]
 */
export function uniformCubic(curve: MonotoneCurve, bins: number): UniformCubic {
	requirePositive(bins, 'bins');
	const width = 1 / bins;
	const coefficients = new Float64Array(4 * bins);
	const integrals = new Float64Array(bins + 1);
	for (let k = 0; k < bins; k++) {
		// Slopes are taken just inside the bin: at a knot the curve itself answers for one side only.
		const inside = width * 1e-9;
		const [y0, y1] = [curve.at(k * width), curve.at((k + 1) * width)];
		const s0 = curve.slopeAt(k * width + inside) * width;
		const s1 = curve.slopeAt((k + 1) * width - inside) * width;
		const c = [y0, s0, 3 * (y1 - y0) - 2 * s0 - s1, 2 * (y0 - y1) + s0 + s1];
		coefficients.set(c, 4 * k);
		integrals[k + 1] = integrals[k]! + width * (c[0]! + c[1]! / 2 + c[2]! / 3 + c[3]! / 4);
	}
	return {
		bins,
		coefficients,
		integrals,
		below: curve.at(0),
		above: curve.at(1),
		slopeBelow: curve.slopeAt(-1),
		slopeAbove: curve.slopeAt(2)
	};
}

/** Value at x, straight beyond the ends. */
export function cubicAt(curve: UniformCubic, x: number): number {
	if (x <= 0) return curve.below + curve.slopeBelow * x;
	if (x >= 1) return curve.above + curve.slopeAbove * (x - 1);
	const scaled = x * curve.bins;
	const bin = Math.min(curve.bins - 1, Math.floor(scaled));
	const t = scaled - bin;
	const c = curve.coefficients;
	const k = 4 * bin;
	return c[k]! + t * (c[k + 1]! + t * (c[k + 2]! + t * c[k + 3]!));
}

/** dy/dx at x. */
export function cubicSlopeAt(curve: UniformCubic, x: number): number {
	if (x <= 0) return curve.slopeBelow;
	if (x >= 1) return curve.slopeAbove;
	const scaled = x * curve.bins;
	const bin = Math.min(curve.bins - 1, Math.floor(scaled));
	const t = scaled - bin;
	const c = curve.coefficients;
	const k = 4 * bin;
	return curve.bins * (c[k + 1]! + t * (2 * c[k + 2]! + 3 * t * c[k + 3]!));
}

/** Integral of the curve from 0 to x (negative left of 0). */
export function cubicIntegral(curve: UniformCubic, x: number): number {
	if (x <= 0) return x * (curve.below + (curve.slopeBelow * x) / 2);
	const over = x - 1;
	if (over >= 0) return curve.integrals[curve.bins]! + over * (curve.above + (curve.slopeAbove * over) / 2);
	const scaled = x * curve.bins;
	const bin = Math.min(curve.bins - 1, Math.floor(scaled));
	const t = scaled - bin;
	const c = curve.coefficients;
	const k = 4 * bin;
	const within = t * (c[k]! + t * (c[k + 1]! / 2 + t * (c[k + 2]! / 3 + (t * c[k + 3]!) / 4)));
	return curve.integrals[bin]! + within / curve.bins;
}
