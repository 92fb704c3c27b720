import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '../chemistry';
import { median } from '../statistics';

/** Fewer cells alike are chance. */
const MIN = 3;
/** Cells of one crate as they come lie within so much of their middle, V (default). */
const ALIKE_V = 0.15;

/**
 * Another chemistry whose cells rest where all of these do, while none of their own does: 3.95 V is an LFP cell that was overcharged, or
 * an NMC cell at four fifths. @param restVoltagesV magnitudes, of one cell each, any order
 * @returns null where one of them fits its own chemistry, they are unlike, fewer than three, or no other fits
 */
export function otherChemistryOf(chemistry: Chemistry, restVoltagesV: readonly number[]): Chemistry | null {
	if (restVoltagesV.length < MIN) return null;
	const middle = median([...restVoltagesV])!;
	if (restVoltagesV.some((v) => Math.abs(v - middle) > ALIKE_V)) return null;
	const rests = (of: Chemistry, v: number) =>
		v >= CHEMISTRY_FIGURES[of].dischargeLimitV && v <= CHEMISTRY_FIGURES[of].plausibleRestV[1];
	if (restVoltagesV.some((v) => rests(chemistry, v))) return null;
	return CHEMISTRIES.find((other) => other !== chemistry && restVoltagesV.every((v) => rests(other, v))) ?? null;
}
