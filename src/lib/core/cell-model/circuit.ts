import { HYSTERESIS_V, byChemistry, restVoltageCurve, type Chemistry } from '../chemistry';
import { uniformCubic, type UniformCubic } from '../shared';
import type { CellParameters } from './parameters';

/**
 * Constants of the equivalent circuit (Plett, Battery Management Systems I, 2015, ch. 2; surface charge after the
 * enhanced self-correcting form). Defaults for large prismatic cells.
 */
export const SURFACE_TAU_S = 1500;
export const FAST_TAU_S = 30;
/** How fast hysteresis follows the charge moved, per unit of SoC. */
export const HYSTERESIS_RATE = 40;
/** Heat given to the air per kelvin in a closed box, W/K a cell. */
export const COOLING_W_PER_K = 0.5;
export const HEAT_CAPACITY_J_PER_KG_K = 1000;
export const MONTH_S = 30.4375 * 86400;

const SURFACE_KAPPA = 0.03;
const R0_OHM_AH = 0.05;
const R1_SHARE = 0.6;
const ARRHENIUS_K = 2600;
const RATED_K = 298.15;
const ZERO_C_K = 273.15;
const UNREACHABLE_PER_K = 0.005;
/** The cold never puts more than this out of reach, so that the model keeps a cell to speak of. */
const MOST_UNREACHABLE = 0.5;
/** A 1 kHz meter reads this share of the series resistance. */
const AC_SHARE = 0.7;
/** Bins of the rest-voltage table: every point of the tables lies on a multiple of 0.5 %. */
const CURVE_BINS = 200;

const CURVES = byChemistry((_, chemistry) => uniformCubic(restVoltageCurve(chemistry), CURVE_BINS));

/** Rest voltage over SoC, made for many readings. */
export const openCircuitCurve = (chemistry: Chemistry): UniformCubic => CURVES[chemistry];
export const hysteresisOf = (chemistry: Chemistry): number => HYSTERESIS_V[chemistry];

/** Terminal voltage above which a cell leaks faster and faster, V. */
export const LEAK_RISES_ABOVE_V: Record<Chemistry, number> = byChemistry((kind) => kind.leakRisesAboveV);
/** Leakage grows by this many times itself per volt above. */
export const LEAK_RISE_PER_V = 20 / 0.2;

/** Over-charge: from `from` to `to` (SoC) less and less of the current is stored; the rest makes gas and heat. */
export const OVER_CHARGE = { from: 1.03, to: 1.08 };
/** Over-discharge: below empty the current is carried more and more by copper going into solution. */
export const OVER_DISCHARGE = { from: -0.03, to: -0.05 };

/** Factor on resistance and surface charge at a temperature; 1 at 25 °C, 2.2 at 0 °C. */
const coldFactor = (temperatureC: number): number =>
	Math.exp(ARRHENIUS_K * (1 / (temperatureC + ZERO_C_K) - 1 / RATED_K));

export interface CircuitConstants {
	r0Ohm: number;
	r1Ohm: number;
	/** Surface charge (fraction of SoC) per C-rate. */
	kappa: number;
	/** Fraction of charge the cold puts out of reach. */
	unreachable: number;
}

/** Circuit constants of a cell at a temperature, °C. */
export function circuitConstants(
	cell: Pick<CellParameters, 'capacityAh' | 'resistanceFactor'>,
	temperatureC: number
): CircuitConstants {
	const cold = coldFactor(temperatureC);
	const r0Ohm = ((R0_OHM_AH * cell.resistanceFactor) / cell.capacityAh) * cold;
	return {
		r0Ohm,
		r1Ohm: R1_SHARE * r0Ohm,
		kappa: SURFACE_KAPPA * cold,
		unreachable: Math.min(MOST_UNREACHABLE, Math.max(0, UNREACHABLE_PER_K * (25 - temperatureC)))
	};
}

/** What a four-wire 1 kHz meter would read without error at a temperature, mΩ. */
export const acResistanceMohm = (
	cell: Pick<CellParameters, 'capacityAh' | 'resistanceFactor'>,
	temperatureC: number
): number => circuitConstants(cell, temperatureC).r0Ohm * AC_SHARE * 1000;
