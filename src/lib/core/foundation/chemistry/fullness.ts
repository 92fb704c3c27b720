import type { Chemistry } from './chemistry';
import { socBounds } from './rest-voltage';

/** A cell that may hold this much (fraction) passes for full. */
const PASSES_FOR_FULL = 0.95;
/** A rest after which nothing is left to settle, s. */
const RESTED_S = 86_400;

/**
 * The most a cell can hold (fraction) before a discharge that is to measure its capacity, when that is too little for it; null when
 * it may be full. Only what the voltage rules out counts: on the plateau, or by a coarse meter, much remains possible.
 * @param restVoltageV volts without current; @param meterSdV one standard deviation of the meter, V
 * @throws CoreError as `socBounds`
 */
export function fullnessRuledOut(chemistry: Chemistry, restVoltageV: number, meterSdV: number): number | null {
	// A cell that was charged a moment ago rests above its curve, never below: a short rest makes no cell look emptier.
	const { highFraction } = socBounds(chemistry, restVoltageV, meterSdV, RESTED_S);
	return highFraction < PASSES_FOR_FULL ? highFraction : null;
}
