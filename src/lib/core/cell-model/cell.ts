import { HYSTERESIS_V, restVoltageCurve, type Chemistry } from '../chemistry';
import { requireFinite, requirePositive, type MonotoneCurve } from '../shared';

/** What a cell truly is; nobody at the bench can see this. */
export interface CellParameters {
	chemistry: Chemistry;
	capacityAh: number;
	/** Multiplies the default series resistance. */
	resistanceFactor: number;
	selfDischargePerMonth: number;
	temperatureC: number;
}

/** Where a cell stands: charge, surface charge, fast polarisation, hysteresis. */
export interface CellState {
	soc: number;
	surface: number;
	polarisationV: number;
	hysteresisV: number;
}

/** Equivalent circuit constants (Plett, Battery Management Systems I, 2015, ch. 2); defaults for large prismatic cells. */
const SURFACE_TAU_S = 1500;
const SURFACE_KAPPA = 0.03;
const FAST_TAU_S = 30;
const HYSTERESIS_RATE = 40;
const COULOMBIC_EFFICIENCY = 0.999;
const R0_OHM_AH = 0.05;
const R1_SHARE = 0.6;
const ARRHENIUS_K = 2600;
const UNREACHABLE_PER_K = 0.005;
const MONTH_S = 30.4375 * 86400;
/** A 1 kHz meter reads this share of the series resistance. */
const AC_SHARE = 0.7;

export interface CellConstants {
	curve: MonotoneCurve;
	r0Ohm: number;
	r1Ohm: number;
	kappa: number;
	unreachable: number;
	hysteresisV: number;
}

/** Constants of a cell at its temperature. @throws CoreError for a capacity or factor that is not positive */
export function cellConstants(cell: CellParameters): CellConstants {
	requirePositive(cell.capacityAh, 'capacityAh');
	requirePositive(cell.resistanceFactor, 'resistanceFactor');
	requireFinite(cell.temperatureC, 'temperatureC');
	const cold = Math.exp(ARRHENIUS_K * (1 / (cell.temperatureC + 273.15) - 1 / 298.15));
	const r0Ohm = ((R0_OHM_AH * cell.resistanceFactor) / cell.capacityAh) * cold;
	return {
		curve: restVoltageCurve(cell.chemistry),
		r0Ohm,
		r1Ohm: R1_SHARE * r0Ohm,
		kappa: SURFACE_KAPPA * cold,
		unreachable: Math.max(0, UNREACHABLE_PER_K * (25 - cell.temperatureC)),
		hysteresisV: HYSTERESIS_V[cell.chemistry]
	};
}

/** What a four-wire 1 kHz meter would read without error, mΩ. */
export function acResistanceMohm(cell: CellParameters): number {
	return cellConstants(cell).r0Ohm * AC_SHARE * 1000;
}

/** A cell that has rested long: no surface charge, no polarisation, hysteresis at `branch` (−1 discharge … 1 charge) of its width. */
export function restedCell(cell: CellParameters, soc: number, branch = 0): CellState {
	return {
		soc: requireFinite(soc, 'soc'),
		surface: 0,
		polarisationV: 0,
		hysteresisV: branch * HYSTERESIS_V[cell.chemistry]
	};
}

/** Terminal voltage, V, at a current (A, positive into the cell). */
export function terminalVoltageV(constants: CellConstants, state: CellState, currentA: number): number {
	const z0 = constants.unreachable;
	return (
		constants.curve.at((state.soc + state.surface - z0) / (1 - z0)) +
		state.hysteresisV +
		currentA * constants.r0Ohm +
		state.polarisationV
	);
}

/**
 * The state after `durationS` seconds at constant current; surface charge and polarisation are stepped exactly, so the
 * step length hardly matters. Charge moved closes exactly: Δsoc = η·I·t/(3600·C) − self-discharge.
 */
export function stepCell(
	cell: CellParameters,
	constants: CellConstants,
	state: CellState,
	currentA: number,
	durationS: number
): CellState {
	const efficiency = currentA > 0 ? COULOMBIC_EFFICIENCY : 1;
	const leaked = (cell.selfDischargePerMonth * durationS) / MONTH_S;
	const relax = (value: number, target: number, tauS: number) =>
		target + (value - target) * Math.exp(-durationS / tauS);
	const branch = Math.sign(currentA) * constants.hysteresisV;
	const throughput = Math.abs((HYSTERESIS_RATE * currentA * durationS) / (3600 * cell.capacityAh));
	return {
		soc: state.soc + (efficiency * currentA * durationS) / (3600 * cell.capacityAh) - leaked,
		surface: relax(state.surface, (constants.kappa * currentA) / cell.capacityAh, SURFACE_TAU_S),
		polarisationV: relax(state.polarisationV, currentA * constants.r1Ohm, FAST_TAU_S),
		hysteresisV: branch + (state.hysteresisV - branch) * Math.exp(-throughput)
	};
}
