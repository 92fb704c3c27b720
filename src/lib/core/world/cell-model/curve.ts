import { HYSTERESIS_V, byChemistry, restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite } from '../../foundation/errors';
import { monotoneCurve, uniformCubic, type UniformCubic } from '../../foundation/curves';
import type { CellNature } from './nature';

/** Half-width of the hysteresis loop, V. */
export const loopV = (chemistry: Chemistry, nature: CellNature): number => HYSTERESIS_V[chemistry] * nature.hysteresis;

/** Bins of a rest-voltage table: every point of the typical ones lies on a multiple of 0.5 %. */
const CURVE_BINS = 200;
const CURVES = byChemistry((_, chemistry) => uniformCubic(restVoltageCurve(chemistry), CURVE_BINS));

/** Rest voltage over SoC of the typical cell, made for many readings. */
export const openCircuitCurve = (chemistry: Chemistry): UniformCubic => CURVES[chemistry];

/** A rest voltage never falls while charge goes in: it rises by at least this from knot to knot, V. */
const MIN_RISE_V = 0.00002;

/** Rest voltage over SoC of a world. @throws CoreError when the offset has not five knots */
export function natureCurve(chemistry: Chemistry, { curveOffsetV }: CellNature): UniformCubic {
	if (curveOffsetV.length === 0) return openCircuitCurve(chemistry);
	if (curveOffsetV.length !== 5)
		throw new CoreError(
			'out-of-range',
			'nature.curveOffsetV',
			`curveOffsetV requires five voltages, got ${curveOffsetV.length}`
		);
	curveOffsetV.forEach((v, i) => requireFinite(v, `nature.curveOffsetV.${i}`));
	const typical = restVoltageCurve(chemistry);
	const socs = Array.from({ length: CURVE_BINS + 1 }, (_, i) => i / CURVE_BINS);
	const volts: number[] = [];
	for (const soc of socs) {
		const own = typical.at(soc) + offsetAt(curveOffsetV, soc);
		volts.push(volts.length ? Math.max(own, volts[volts.length - 1]! + MIN_RISE_V) : own);
	}
	return uniformCubic(monotoneCurve(socs, volts, typical.slopeAt(-1), typical.slopeAt(2)), CURVE_BINS);
}

/** Between five knots by cosine: flat at each, no overshoot. */
function offsetAt(knots: readonly number[], soc: number): number {
	const scaled = soc * 4;
	const k = Math.min(3, Math.floor(scaled));
	const share = (1 - Math.cos(Math.PI * (scaled - k))) / 2;
	return knots[k]! * (1 - share) + knots[k + 1]! * share;
}
