import type { Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite } from '../../foundation/errors';
import { cubicAt, cubicSlopeAt, type UniformCubic } from '../../foundation/curves';
import {
	COLD_FULL_C_RATE,
	HEAT_CAPACITY_J_PER_KG_K,
	MONTH_S,
	OVER_CHARGE,
	OVER_DISCHARGE,
	circuitConstants
} from './circuit';
import { loopV, natureCurve } from './curve';
import { USUAL_NATURE, type CellNature } from './nature';
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
	nature: CellNature;
	curve: UniformCubic;
	/** Half-width of the hysteresis loop, V. */
	loopV: number;
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
	coldShare: Float64Array;
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

/** @throws CoreError when cells differ in chemistry, or a state of charge lies outside −5 % … 108 % */
export function createCells(
	starting: readonly StartingCell[],
	ambientC: number,
	nature: CellNature = USUAL_NATURE
): Cells {
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
		nature,
		curve: natureCurve(chemistry, nature),
		loopV: loopV(chemistry, nature),
		parameters: starting.map((c) => c.parameters),
		ambientC,
		capacityAh: column((c) => c.parameters.capacityAh * c.parameters.capacityFactor),
		efficiency: column((c) => c.parameters.coulombicEfficiency),
		leakPerS: column((c) => (c.parameters.selfDischargePerMonth * nature.selfDischarge) / MONTH_S),
		heatCapacityJPerK: column((c) => c.parameters.massKg * HEAT_CAPACITY_J_PER_KG_K),
		soc: column((c) => c.soc),
		surface: column(),
		polarisationV: column(),
		hysteresisV: column((c) => (c.branch ?? 0) * loopV(chemistry, nature)),
		temperatureC: column((c) => c.parameters.temperatureC),
		constantsAtC: column(() => Infinity),
		r0Ohm: column(),
		r1Ohm: column(),
		kappa: column(),
		coldShare: column(),
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

/** Works out one cell. */
export function refreshCell(cells: Cells, i: number): void {
	const temperatureC = cells.temperatureC[i];
	if (Math.abs(temperatureC! - cells.constantsAtC[i]!) > TEMPERATURE_GRAIN_K) {
		const constants = circuitConstants(cells.parameters[i]!, temperatureC!, cells.nature);
		cells.constantsAtC[i] = temperatureC!;
		cells.r0Ohm[i] = constants.r0Ohm;
		cells.r1Ohm[i] = constants.r1Ohm;
		cells.kappa[i] = constants.kappa;
		cells.coldShare[i] = constants.coldShare;
	}
	const soc = cells.soc[i]!;
	// No surface is emptier than an emptied cell: below, the voltage means nothing.
	const surface = Math.max(OVER_DISCHARGE.to, soc + cells.surface[i]!);
	cells.surfaceV[i] = cubicAt(cells.curve, surface);
	cells.slopeV[i] = cubicSlopeAt(cells.curve, surface);
	cells.bulkV[i] = cubicAt(cells.curve, soc);
}

/**
 * Where the surface of a cell goes under a steady current, fraction of SoC against its bulk: `κ·I/C`, and in the cold, while it is
 * discharged, the share that cannot be reached: `z0·min(1, |I|/(0.05·C))` less.
 */
export function surfaceEnd(cells: Cells, i: number, currentA: number): number {
	const rate = currentA / cells.capacityAh[i]!;
	const cold = rate < 0 ? cells.coldShare[i]! * Math.min(1, -rate / COLD_FULL_C_RATE) : 0;
	return cells.kappa[i]! * rate - cold;
}

/** Voltage behind the series resistance, V. */
export const sourceVoltageV = (cells: Cells, i: number): number =>
	cells.surfaceV[i]! + cells.hysteresisV[i]! + cells.polarisationV[i]!;

/** Voltage at the cell's own terminals at a current (A, into the cell), V. */
export const terminalVoltageV = (cells: Cells, i: number, currentA: number): number =>
	sourceVoltageV(cells, i) + currentA * cells.r0Ohm[i]!;

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
