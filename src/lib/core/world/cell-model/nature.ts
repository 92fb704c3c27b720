/**
 * How the cells of one world differ from the model's typical cell, and where they stand. Judgements know nothing of it: they are
 * made by the typical figures, and must hold in worlds that differ.
 */
export interface CellNature {
	/** Factors on hysteresis, R0 and R1, surface charge (κ), the share lost in the cold, self-discharge. */
	hysteresis: number;
	resistance: number;
	kappa: number;
	coldShare: number;
	selfDischarge: number;
	/** Added to the rest voltage at 0, 25, 50, 75 and 100 % and smoothly between, V; empty for the typical curve. */
	curveOffsetV: readonly number[];
	/** Heat a cell gives to the air, W/K. */
	coolingWPerK: number;
}

/** Heat a cell gives to the air: one of many in a closed box, and one alone in free air (default). */
export const CLOSED_BOX_W_PER_K = 0.15;
export const FREE_AIR_W_PER_K = 0.5;

export const USUAL_NATURE: CellNature = {
	hysteresis: 1,
	resistance: 1,
	kappa: 1,
	coldShare: 1,
	selfDischarge: 1,
	curveOffsetV: [],
	coolingWPerK: FREE_AIR_W_PER_K
};
