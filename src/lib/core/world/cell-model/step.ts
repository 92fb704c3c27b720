import { cubicIntegral } from '../../foundation/curves';
import { refreshCell, surfaceEnd, terminalVoltageV, type Cells } from './cells';
import {
	FAST_TAU_S,
	HYSTERESIS_RATE,
	LEAK_RISES_ABOVE_V,
	LEAK_RISE_PER_V,
	OVER_CHARGE,
	OVER_DISCHARGE,
	SURFACE_TAU_S
} from './circuit';

/** Exponentials that depend on the step length alone. */
export interface StepDecay {
	stepS: number;
	surface: number;
	fast: number;
	halfSurface: number;
	halfFast: number;
}

export function stepDecay(stepS: number): StepDecay {
	return {
		stepS,
		surface: Math.exp(-stepS / SURFACE_TAU_S),
		fast: Math.exp(-stepS / FAST_TAU_S),
		halfSurface: Math.exp(-stepS / 2 / SURFACE_TAU_S),
		halfFast: Math.exp(-stepS / 2 / FAST_TAU_S)
	};
}

/** Source voltage in the middle of a step without current, V: what cells in parallel are solved with. */
export function midSourceVoltageV(cells: Cells, i: number, decay: StepDecay): number {
	return (
		cells.surfaceV[i]! +
		cells.hysteresisV[i]! +
		cells.slopeV[i]! * cells.surface[i]! * (decay.halfSurface - 1) +
		cells.polarisationV[i]! * decay.halfFast
	);
}

/**
 * By how much a steady current (per A) has raised the source voltage by the middle of a step, beside the series resistance, Ω.
 * What the cold takes is no line in the current: its share per ampere is that of the current now flowing.
 */
export function midRiseOhm(cells: Cells, i: number, decay: StepDecay): number {
	const nowA = cells.currentA[i]!;
	const surfacePerAmpere = nowA < 0 ? surfaceEnd(cells, i, nowA) / nowA : cells.kappa[i]! / cells.capacityAh[i]!;
	const perAmpere = decay.stepS / 7200 / cells.capacityAh[i]! + surfacePerAmpere * (1 - decay.halfSurface);
	return cells.slopeV[i]! * perAmpere + cells.r1Ohm[i]! * (1 - decay.halfFast);
}

/** Share of a current that changes the charge; less in the over-charge and over-discharge regions. */
function storedShare(cells: Cells, i: number, currentA: number): number {
	const soc = cells.soc[i];
	if (currentA > 0) {
		if (soc! <= OVER_CHARGE.from) return cells.efficiency[i]!;
		return cells.efficiency[i]! * Math.max(0, (OVER_CHARGE.to - soc!) / (OVER_CHARGE.to - OVER_CHARGE.from));
	}
	if (soc! >= OVER_DISCHARGE.from) return 1;
	return Math.max(0, (soc! - OVER_DISCHARGE.to) / (OVER_DISCHARGE.from - OVER_DISCHARGE.to));
}

function leakedFraction(cells: Cells, i: number, currentA: number, stepS: number): number {
	const above = terminalVoltageV(cells, i, currentA) - LEAK_RISES_ABOVE_V[cells.chemistry];
	const times = above > 0 ? 1 + LEAK_RISE_PER_V * above : 1;
	const left = Math.max(0, Math.min(1, (cells.soc[i]! - OVER_DISCHARGE.to) / 0.01));
	return cells.leakPerS[i]! * times * left * stepS;
}

/** By how much the rest voltage of the surface will move in a step at the present current, V. */
export function expectedSwingV(cells: Cells, i: number, decay: StepDecay): number {
	const rate = cells.currentA[i]! / cells.capacityAh[i]!;
	const bulk = (rate * decay.stepS) / 3600;
	const surface = (surfaceEnd(cells, i, cells.currentA[i]!) - cells.surface[i]!) * (1 - decay.surface);
	return cells.slopeV[i]! * Math.abs(bulk + surface);
}

/**
 * Moves one cell on by a step at its `currentA`, held steady. Surface charge, polarisation, hysteresis and temperature are
 * stepped exactly for that current. Heat is what came in at the terminals and was neither stored in the bulk nor in
 * polarisation, so energy closes: see {@link storedEnergyJ}.
 * @returns mean terminal voltage over the step, V
 */
export function stepCell(cells: Cells, i: number, decay: StepDecay): number {
	const { stepS } = decay;
	const currentA = cells.currentA[i];
	const capacityAh = cells.capacityAh[i];
	const [surface0, bulk0] = [cells.surfaceV[i], cells.bulkV[i]];
	const [fast0, hysteresis0] = [cells.polarisationV[i], cells.hysteresisV[i]];
	const r1Ohm = cells.r1Ohm[i];
	const movedAh = (currentA! * stepS) / 3600;
	const storedAh = movedAh * storedShare(cells, i, currentA!);
	const leakedAh = leakedFraction(cells, i, currentA!, stepS) * capacityAh!;
	const fastEnd = currentA! * r1Ohm!;
	const surfaceTo = surfaceEnd(cells, i, currentA!);
	cells.soc[i]! += (storedAh - leakedAh) / capacityAh!;
	cells.surface[i] = surfaceTo + (cells.surface[i]! - surfaceTo) * decay.surface;
	cells.polarisationV[i] = fastEnd + (fast0! - fastEnd) * decay.fast;
	if (currentA !== 0) {
		const branch = currentA! > 0 ? cells.loopV : -cells.loopV;
		const followed = Math.exp(-HYSTERESIS_RATE * Math.abs(movedAh / capacityAh!));
		cells.hysteresisV[i] = branch + (hysteresis0! - branch) * followed;
	}
	refreshCell(cells, i);
	const meanFastV = fastEnd + ((fast0! - fastEnd) * (1 - decay.fast) * FAST_TAU_S) / stepS;
	const meanV =
		(surface0! + cells.surfaceV[i]!) / 2 +
		(hysteresis0! + cells.hysteresisV[i]!) / 2 +
		meanFastV +
		currentA! * cells.r0Ohm[i]!;
	const storedJ = 1800 * (bulk0! + cells.bulkV[i]!) * (storedAh - leakedAh);
	const polarisedJ = (FAST_TAU_S / 2 / r1Ohm!) * (cells.polarisationV[i] ** 2 - fast0! ** 2);
	const heatJ = currentA! * stepS * meanV - storedJ - polarisedJ;
	warmCell(cells, i, heatJ / stepS, stepS);
	cells.throughAh[i]! += movedAh;
	cells.leakedAh[i]! += leakedAh;
	cells.unstoredAh[i]! += movedAh - storedAh;
	cells.heatJ[i]! += heatJ;
	if (cells.soc[i]! > 1 && currentA! > 0) cells.overChargedAh[i]! += movedAh;
	if (cells.soc[i]! < 0 && currentA! < 0) cells.overDischargedAh[i]! -= movedAh;
	return meanV;
}

function warmCell(cells: Cells, i: number, heatW: number, stepS: number): void {
	const { coolingWPerK } = cells.nature;
	const settledC = cells.ambientC + heatW / coolingWPerK;
	const kept = Math.exp((-coolingWPerK * stepS) / cells.heatCapacityJPerK[i]!);
	cells.temperatureC[i] = settledC + (cells.temperatureC[i]! - settledC) * kept;
}

/** Energy stored in a cell, J from empty: the integral of the rest voltage over its charge, and what polarisation holds. */
export function storedEnergyJ(cells: Cells, i: number): number {
	const bulkJ = 3600 * cells.capacityAh[i]! * cubicIntegral(cells.curve, cells.soc[i]!);
	return bulkJ + (FAST_TAU_S / 2 / cells.r1Ohm[i]!) * cells.polarisationV[i]! ** 2;
}
