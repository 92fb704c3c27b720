import {
	INSTANT_OHM_AH,
	MAX_COLD_SHARE,
	SLOW_SHARE,
	byChemistry,
	coldShareAt,
	type Chemistry
} from '../../foundation/chemistry';
import { MONTH_DAYS_MEAN } from '../../foundation/time';
import { USUAL_NATURE, type CellNature } from './nature';
import type { CellParameters } from './parameters';

/**
 * Constants of the equivalent circuit (Plett, Battery Management Systems I, 2015, ch. 2; surface charge after the
 * enhanced self-correcting form). Defaults for large prismatic cells.
 */
export const SURFACE_TAU_S = 1500;
export const FAST_TAU_S = 30;
/** How fast hysteresis follows the charge moved, per unit of SoC. */
export const HYSTERESIS_RATE = 40;
export const HEAT_CAPACITY_J_PER_KG_K = 1000;
export const MONTH_S = MONTH_DAYS_MEAN * 86400;

const SURFACE_KAPPA = 0.03;
const ARRHENIUS_K = 2600;
const RATED_K = 298.15;
const ZERO_C_K = 273.15;
/** From this C-rate on the whole of that share is out of reach; below it in proportion. */
export const COLD_FULL_C_RATE = 0.05;
/** A 1 kHz meter reads this share of the series resistance. */
const AC_SHARE = 0.7;
/** Terminal voltage above which a cell leaks faster and faster, V. */
export const LEAK_RISES_ABOVE_V: Record<Chemistry, number> = byChemistry((kind) => kind.leakRisesAboveV);
/** Leakage grows by this many times itself per volt above. */
export const LEAK_RISE_PER_V = 20 / 0.2;

/** Over-charge: from `from` to `to` (SoC) less and less of the current is stored; the rest makes gas and heat. */
export const OVER_CHARGE = { from: 1.03, to: 1.08 };
/** Over-discharge: below empty the current is carried more and more by copper going into solution. */
export const OVER_DISCHARGE = { from: -0.03, to: -0.05 };

/** Factor on resistance and surface charge at a temperature; 1 at 25 °C, 2.2 at 0 °C. */
export const coldFactor = (temperatureC: number): number =>
	Math.exp(ARRHENIUS_K * (1 / (temperatureC + ZERO_C_K) - 1 / RATED_K));

export interface CircuitConstants {
	r0Ohm: number;
	r1Ohm: number;
	/** Surface charge (fraction of SoC) per C-rate. */
	kappa: number;
	/** Fraction of charge a discharge cannot reach in the cold. */
	coldShare: number;
}

/** Circuit constants of a cell at a temperature, °C. */
export function circuitConstants(
	cell: Pick<CellParameters, 'capacityAh' | 'resistanceFactor'>,
	temperatureC: number,
	nature: CellNature = USUAL_NATURE
): CircuitConstants {
	const cold = coldFactor(temperatureC);
	const r0Ohm = ((INSTANT_OHM_AH * cell.resistanceFactor * nature.resistance) / cell.capacityAh) * cold;
	return {
		r0Ohm,
		r1Ohm: SLOW_SHARE * r0Ohm,
		kappa: SURFACE_KAPPA * nature.kappa * cold,
		coldShare: Math.min(MAX_COLD_SHARE, coldShareAt(temperatureC) * nature.coldShare)
	};
}

/** What a four-wire 1 kHz meter would read without error at a temperature, mΩ. */
export const acResistanceMohm = (
	cell: Pick<CellParameters, 'capacityAh' | 'resistanceFactor'>,
	temperatureC: number
): number => circuitConstants(cell, temperatureC).r0Ohm * AC_SHARE * 1000;
