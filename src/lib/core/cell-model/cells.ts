import type { Chemistry } from '../chemistry';
import { CoreError, cubicAt, cubicIntegral, cubicSlopeAt, requireFinite, type UniformCubic } from '../shared';
import {
	COOLING_W_PER_K,
	FAST_TAU_S,
	HEAT_CAPACITY_J_PER_KG_K,
	HYSTERESIS_RATE,
	LEAK_RISES_ABOVE_V,
	LEAK_RISE_PER_V,
	MONTH_S,
	OVER_CHARGE,
	OVER_DISCHARGE,
	SURFACE_TAU_S,
	circuitConstants,
	hysteresisOf,
	openCircuitCurve
} from './circuit';
import type { CellParameters } from './parameters';

/** One cell to simulate: what it is and where it stands. */
export interface StartingCell {
	parameters: CellParameters;
	/** State of charge, fraction; a rested cell. */
	soc: number;
	/** Where in the hysteresis loop it rested: −1 after discharge … 1 after charge. */
	branch?: number;
}

/** Columns that a step changes; the others follow from them or never change. */
const STATE = [
	'soc',
	'surface',
	'polarisationV',
	'hysteresisV',
	'temperatureC',
	'currentA',
	'throughAh',
	'leakedAh',
	'unstoredAh',
	'heatJ',
	'overChargedAh',
	'overDischargedAh'
] as const;

/**
 * Cells as columns, one entry a cell in the order given: what they are, how they stand, what flows. All of one chemistry.
 * `currentA` is positive into the cell; every voltage is at the instant the state describes.
 */
export interface Cells {
	count: number;
	chemistry: Chemistry;
	curve: UniformCubic;
	parameters: readonly CellParameters[];
	ambientC: number;
	capacityAh: Float64Array;
	efficiency: Float64Array;
	leakPerS: Float64Array;
	heatCapacityJPerK: Float64Array;
	soc: Float64Array;
	surface: Float64Array;
	polarisationV: Float64Array;
	hysteresisV: Float64Array;
	temperatureC: Float64Array;
	/** Circuit at the temperature `constantsAtC`. */
	constantsAtC: Float64Array;
	r0Ohm: Float64Array;
	r1Ohm: Float64Array;
	kappa: Float64Array;
	unreachable: Float64Array;
	/** Rest voltage of the surface, its slope in V per unit of SoC, and rest voltage of the bulk. */
	surfaceV: Float64Array;
	slopeV: Float64Array;
	bulkV: Float64Array;
	currentA: Float64Array;
	/** Since the start: charge through the terminals, charge leaked away, charge not stored (Ah), heat made (J). */
	throughAh: Float64Array;
	leakedAh: Float64Array;
	unstoredAh: Float64Array;
	heatJ: Float64Array;
	/** Charge forced in above full and out below empty, Ah: what harms a cell. */
	overChargedAh: Float64Array;
	overDischargedAh: Float64Array;
}

/** Constants are worked out again when a cell's temperature has moved by this much: 0.003 % of its resistance. */
const TEMPERATURE_GRAIN_K = 0.01;

/** What the cold puts out of reach lowers the voltage by no more than this: enough to end any discharge, V. */
const COLD_TAKES_V = 0.8;

/** @throws CoreError when cells differ in chemistry, or a state of charge lies outside −5 % … 108 % */
export function createCells(starting: readonly StartingCell[], ambientC: number): Cells {
	const count = starting.length;
	const chemistry = starting[0]?.parameters.chemistry ?? 'LFP';
	requireFinite(ambientC, 'ambientC');
	const column = (of: (cell: StartingCell, i: number) => number = () => 0) => Float64Array.from(starting, of);
	starting.forEach(({ soc, parameters }, i) => {
		if (!(requireFinite(soc, `cells.${i}.soc`) >= OVER_DISCHARGE.to && soc <= OVER_CHARGE.to))
			throw new CoreError('out-of-range', `cells.${i}.soc`, `soc requires a fraction from -0.05 to 1.08, got ${soc}`);
		if (parameters.chemistry !== chemistry)
			throw new CoreError('chemistry', `cells.${i}`, 'Cells of different chemistry cannot be wired together.');
	});
	const cells: Cells = {
		count,
		chemistry,
		curve: openCircuitCurve(chemistry),
		parameters: starting.map((c) => c.parameters),
		ambientC,
		capacityAh: column((c) => c.parameters.capacityAh * c.parameters.capacityFactor),
		efficiency: column((c) => c.parameters.coulombicEfficiency),
		leakPerS: column((c) => c.parameters.selfDischargePerMonth / MONTH_S),
		heatCapacityJPerK: column((c) => c.parameters.massKg * HEAT_CAPACITY_J_PER_KG_K),
		soc: column((c) => c.soc),
		surface: column(),
		polarisationV: column(),
		hysteresisV: column((c) => (c.branch ?? 0) * hysteresisOf(chemistry)),
		temperatureC: column((c) => c.parameters.temperatureC),
		constantsAtC: column(() => Infinity),
		r0Ohm: column(),
		r1Ohm: column(),
		kappa: column(),
		unreachable: column(),
		surfaceV: column(),
		slopeV: column(),
		bulkV: column(),
		currentA: column(),
		throughAh: column(),
		leakedAh: column(),
		unstoredAh: column(),
		heatJ: column(),
		overChargedAh: column(),
		overDischargedAh: column()
	};
	refreshCells(cells);
	return cells;
}

/** Works out rest voltages and circuit constants from the state. */
export function refreshCells(cells: Cells): void {
	for (let i = 0; i < cells.count; i++) refreshCell(cells, i);
}

function refreshCell(cells: Cells, i: number): void {
	const temperatureC = cells.temperatureC[i];
	if (Math.abs(temperatureC - cells.constantsAtC[i]) > TEMPERATURE_GRAIN_K) {
		const constants = circuitConstants(cells.parameters[i], temperatureC);
		cells.constantsAtC[i] = temperatureC;
		cells.r0Ohm[i] = constants.r0Ohm;
		cells.r1Ohm[i] = constants.r1Ohm;
		cells.kappa[i] = constants.kappa;
		cells.unreachable[i] = constants.unreachable;
	}
	const soc = cells.soc[i];
	const reach = 1 / (1 - cells.unreachable[i]);
	const surface = soc + cells.surface[i];
	const cold = (surface - cells.unreachable[i]) * reach;
	cells.surfaceV[i] = cubicAt(cells.curve, cold);
	cells.slopeV[i] = cubicSlopeAt(cells.curve, cold) * reach;
	if (cold < 0) {
		const floorV = cubicAt(cells.curve, surface) - COLD_TAKES_V;
		if (floorV > cells.surfaceV[i]) {
			cells.surfaceV[i] = floorV;
			cells.slopeV[i] = cubicSlopeAt(cells.curve, surface);
		}
	}
	cells.bulkV[i] = cubicAt(cells.curve, soc);
}

/** Voltage behind the series resistance, V. */
export const sourceVoltageV = (cells: Cells, i: number): number =>
	cells.surfaceV[i] + cells.hysteresisV[i] + cells.polarisationV[i];

/** Voltage at the cell's own terminals at a current (A, into the cell), V. */
export const terminalVoltageV = (cells: Cells, i: number, currentA: number): number =>
	sourceVoltageV(cells, i) + currentA * cells.r0Ohm[i];

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
		cells.surfaceV[i] +
		cells.hysteresisV[i] +
		cells.slopeV[i] * cells.surface[i] * (decay.halfSurface - 1) +
		cells.polarisationV[i] * decay.halfFast
	);
}

/** By how much a steady current (per A) has raised the source voltage by the middle of a step, beside the series resistance, Ω. */
export function midRiseOhm(cells: Cells, i: number, decay: StepDecay): number {
	const perAmpere = decay.stepS / 7200 + cells.kappa[i] * (1 - decay.halfSurface);
	return (cells.slopeV[i] * perAmpere) / cells.capacityAh[i] + cells.r1Ohm[i] * (1 - decay.halfFast);
}

/** Share of a current that changes the charge; less in the over-charge and over-discharge regions. */
function storedShare(cells: Cells, i: number, currentA: number): number {
	const soc = cells.soc[i];
	if (currentA > 0) {
		if (soc <= OVER_CHARGE.from) return cells.efficiency[i];
		return cells.efficiency[i] * Math.max(0, (OVER_CHARGE.to - soc) / (OVER_CHARGE.to - OVER_CHARGE.from));
	}
	if (soc >= OVER_DISCHARGE.from) return 1;
	return Math.max(0, (soc - OVER_DISCHARGE.to) / (OVER_DISCHARGE.from - OVER_DISCHARGE.to));
}

function leakedFraction(cells: Cells, i: number, currentA: number, stepS: number): number {
	const above = terminalVoltageV(cells, i, currentA) - LEAK_RISES_ABOVE_V[cells.chemistry];
	const times = above > 0 ? 1 + LEAK_RISE_PER_V * above : 1;
	const left = Math.max(0, Math.min(1, (cells.soc[i] - OVER_DISCHARGE.to) / 0.01));
	return cells.leakPerS[i] * times * left * stepS;
}

/** By how much the rest voltage of the surface will move in a step at the present current, V. */
export function expectedSwingV(cells: Cells, i: number, decay: StepDecay): number {
	const rate = cells.currentA[i] / cells.capacityAh[i];
	const bulk = (rate * decay.stepS) / 3600;
	const surface = (cells.kappa[i] * rate - cells.surface[i]) * (1 - decay.surface);
	return cells.slopeV[i] * Math.abs(bulk + surface);
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
	const movedAh = (currentA * stepS) / 3600;
	const storedAh = movedAh * storedShare(cells, i, currentA);
	const leakedAh = leakedFraction(cells, i, currentA, stepS) * capacityAh;
	const fastEnd = currentA * r1Ohm;
	const surfaceEnd = (cells.kappa[i] * currentA) / capacityAh;
	cells.soc[i] += (storedAh - leakedAh) / capacityAh;
	cells.surface[i] = surfaceEnd + (cells.surface[i] - surfaceEnd) * decay.surface;
	cells.polarisationV[i] = fastEnd + (fast0 - fastEnd) * decay.fast;
	if (currentA !== 0) {
		const branch = currentA > 0 ? hysteresisOf(cells.chemistry) : -hysteresisOf(cells.chemistry);
		const followed = Math.exp(-HYSTERESIS_RATE * Math.abs(movedAh / capacityAh));
		cells.hysteresisV[i] = branch + (hysteresis0 - branch) * followed;
	}
	refreshCell(cells, i);
	const meanFastV = fastEnd + ((fast0 - fastEnd) * (1 - decay.fast) * FAST_TAU_S) / stepS;
	const meanV =
		(surface0 + cells.surfaceV[i]) / 2 +
		(hysteresis0 + cells.hysteresisV[i]) / 2 +
		meanFastV +
		currentA * cells.r0Ohm[i];
	const storedJ = 1800 * (bulk0 + cells.bulkV[i]) * (storedAh - leakedAh);
	const polarisedJ = (FAST_TAU_S / 2 / r1Ohm) * (cells.polarisationV[i] ** 2 - fast0 ** 2);
	const heatJ = currentA * stepS * meanV - storedJ - polarisedJ;
	warmCell(cells, i, heatJ / stepS, stepS);
	cells.throughAh[i] += movedAh;
	cells.leakedAh[i] += leakedAh;
	cells.unstoredAh[i] += movedAh - storedAh;
	cells.heatJ[i] += heatJ;
	if (cells.soc[i] > 1 && currentA > 0) cells.overChargedAh[i] += movedAh;
	if (cells.soc[i] < 0 && currentA < 0) cells.overDischargedAh[i] -= movedAh;
	return meanV;
}

function warmCell(cells: Cells, i: number, heatW: number, stepS: number): void {
	const settledC = cells.ambientC + heatW / COOLING_W_PER_K;
	const kept = Math.exp((-COOLING_W_PER_K * stepS) / cells.heatCapacityJPerK[i]);
	cells.temperatureC[i] = settledC + (cells.temperatureC[i] - settledC) * kept;
}

/** Energy stored in a cell, J from empty: the integral of the rest voltage over its charge, and what polarisation holds. */
export function storedEnergyJ(cells: Cells, i: number): number {
	const bulkJ = 3600 * cells.capacityAh[i] * cubicIntegral(cells.curve, cells.soc[i]);
	return bulkJ + (FAST_TAU_S / 2 / cells.r1Ohm[i]) * cells.polarisationV[i] ** 2;
}

export type CellsState = Record<(typeof STATE)[number], Float64Array>;

/** A copy of the state, into `into` when given (from an earlier call for the same cells). */
export function copyState(cells: Cells, into?: CellsState): CellsState {
	if (!into) return Object.fromEntries(STATE.map((name) => [name, cells[name].slice()])) as CellsState;
	for (const name of STATE) into[name].set(cells[name]);
	return into;
}

/** Puts a copied state back. */
export function restoreState(cells: Cells, state: CellsState): void {
	for (const name of STATE) cells[name].set(state[name]);
	refreshCells(cells);
}
