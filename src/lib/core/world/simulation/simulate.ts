import { refreshCells, stepCell, stepDecay, terminalVoltageV, type Cells } from '../cell-model';
import { requirePositive } from '../../foundation/errors';
import type { StepSums } from './battery';
import { checkDrive, type Drive, type Flow } from './drive';
import { readGuarded, returnToStep, saveStep, stepGuarded, type SavedStep } from './guarded';
import { recorder, type Recording } from './recorder';
import { prepareWorld, refuse, type Prepared, type SimulatedWorld } from './world';

export interface SimulatedStep {
	kind: 'rest' | 'charge' | 'discharge';
	currentA?: number;
	powerW?: number;
	/** Charge: the supply's voltage limit. Discharge: the load's own low cut-off. Both at the far end of the leads, V. */
	voltageV?: number;
	leadOhm?: number;
	until: { durationS?: number; cellLowV?: number; cellHighV?: number; tailA?: number };
}

export interface SimulationInput {
	world: SimulatedWorld;
	steps: SimulatedStep[];
	stepS: number;
	recordEveryS: number;
}

export type EndedBy = 'duration' | 'cellLow' | 'cellHigh' | 'tail' | 'voltage' | 'collapse' | 'bms';

export interface SimulationResult extends Recording {
	steps: { endedBy: EndedBy; durationS: number; ah: number; wh: number; heatWh: number }[];
}

/** Most cell-steps one simulation may take, and most figures it may record. */
export const MAX_CELL_STEPS = 50_000_000;
export const MAX_RECORDED = 4_000_000;
const SHORTEST_STEP_S = 0.01;
const LONGEST_STEP_S = 3600;

function driveOf(step: SimulatedStep, path: string): Drive[] {
	const { kind, powerW, voltageV, leadOhm = 0 } = step;
	if (kind === 'rest') return [];
	// A discharge current may be written with the battery's sign.
	const currentA = kind === 'discharge' && step.currentA !== undefined ? Math.abs(step.currentA) : step.currentA;
	const drive: Drive =
		kind === 'charge' ? { kind, currentA, powerW, voltageV, leadOhm } : { kind, currentA, powerW, leadOhm };
	checkDrive(drive, path);
	return [drive];
}

function checkSteps(input: SimulationInput, prepared: Prepared): void {
	const { steps, stepS, recordEveryS } = input;
	if (!(requirePositive(stepS, 'stepS') >= SHORTEST_STEP_S && stepS <= LONGEST_STEP_S))
		refuse('out-of-range', 'stepS', `stepS requires ${SHORTEST_STEP_S} to ${LONGEST_STEP_S} s, got ${stepS}`);
	requirePositive(recordEveryS, 'recordEveryS');
	if (steps.length === 0) refuse('no-steps', 'steps', 'steps requires one step or more');
	let plannedS = 0;
	steps.forEach((step, k) => {
		const path = `steps.${k}`;
		for (const [name, value] of Object.entries(step.until))
			if (value !== undefined) requirePositive(value, `${path}.until.${name}`);
		const { durationS, cellLowV, cellHighV, tailA } = step.until;
		if (step.kind !== 'rest' && !prepared.guarded)
			refuse(
				'loose',
				path,
				'Loose cells have no common terminals: wire them in parallel or in series, or send one cell.'
			);
		const ends =
			step.kind === 'rest'
				? [durationS]
				: step.kind === 'charge'
					? [durationS, cellHighV, tailA]
					: [durationS, cellLowV, step.voltageV];
		if (ends.every((e) => e === undefined))
			refuse(
				'no-end',
				`${path}.until`,
				`A ${step.kind} requires an end it can reach: ${step.kind === 'rest' ? 'durationS' : step.kind === 'charge' ? 'durationS, cellHighV or tailA' : 'durationS, cellLowV or voltageV'}`
			);
		if (tailA !== undefined && step.voltageV === undefined)
			refuse('no-voltage', `${path}.voltageV`, 'A tail current is reached only with a voltage limit: give voltageV');
		plannedS += durationS ?? 0;
	});
	const cellSteps = (plannedS / Math.min(stepS, recordEveryS)) * prepared.cells.count;
	if (cellSteps > MAX_CELL_STEPS)
		refuse(
			'too-long',
			'stepS',
			`The simulation requires at most ${MAX_CELL_STEPS} cell-steps, got about ${cellSteps.toExponential(1)}; use a longer step or fewer cells.`
		);
	if ((plannedS / recordEveryS) * prepared.cells.count * 4 > MAX_RECORDED)
		refuse(
			'too-much',
			'recordEveryS',
			`The record requires at most ${MAX_RECORDED} figures; use a longer recordEveryS.`
		);
}

/** Refuses what {@link simulate} would refuse at its start. @throws CoreError */
export const checkSimulation = (input: SimulationInput): void => checkSteps(input, prepareWorld(input.world));

/**
 * Runs the steps one after the other. Current and charge are positive into the battery; `voltageV` is at its terminals,
 * null where cells are loose. A step that ends on a voltage or a tail ends exactly there, not at the next whole step.
 * `wh` is at the terminals, `heatWh` what cells, joints and balancer turned into heat.
 * @param mostCellSteps where it gives up
 * @throws CoreError for input that cannot be, or `did-not-end` when an end is not reached within the limits
 */
export function simulate(input: SimulationInput, mostCellSteps = MAX_CELL_STEPS): SimulationResult {
	const prepared = prepareWorld(input.world);
	checkSteps(input, prepared);
	const record = recorder(prepared.cells, prepared.ids, input.recordEveryS);
	const clock: Clock = { timeS: 0, cellSteps: 0, mostCellSteps };
	const steps = input.steps.map((step, k) => runStep(step, `steps.${k}`, input, prepared, record, clock));
	return { ...record.result, steps };
}

interface Clock {
	timeS: number;
	cellSteps: number;
	mostCellSteps: number;
}

type Recorder = ReturnType<typeof recorder>;

function ending(step: SimulatedStep, prepared: Prepared, flow: Flow): EndedBy | null {
	const { until } = step;
	const { battery, bms } = prepared.guarded!;
	let [low, high] = [Infinity, -Infinity];
	for (const i of battery.members) {
		const v = terminalVoltageV(battery.cells, i, battery.cells.currentA[i]!);
		if (v < low) low = v;
		if (v > high) high = v;
	}
	if (until.cellLowV !== undefined && step.kind === 'discharge' && low <= until.cellLowV) return 'cellLow';
	if (until.cellHighV !== undefined && step.kind === 'charge' && high >= until.cellHighV) return 'cellHigh';
	const blocked = bms && (step.kind === 'charge' ? bms.chargeBlocked : bms.dischargeBlocked);
	if (blocked) return until.durationS === undefined ? 'bms' : null;
	if (until.tailA !== undefined && flow.atVoltage && flow.currentA <= until.tailA) return 'tail';
	if (step.kind === 'discharge' && step.voltageV !== undefined && flow.loadV <= step.voltageV) return 'voltage';
	return flow.collapsed ? 'collapse' : null;
}

function runStep(
	step: SimulatedStep,
	path: string,
	input: SimulationInput,
	prepared: Prepared,
	record: Recorder,
	clock: Clock
): SimulationResult['steps'][number] {
	const { guarded, cells } = prepared;
	const drives = driveOf(step, path);
	const sums: StepSums = { ah: 0, wh: 0, heatWh: 0 };
	const startS = clock.timeS;
	const endS = step.until.durationS === undefined ? Infinity : startS + step.until.durationS;
	let saved: SavedStep | undefined;
	const read = () => (guarded ? readGuarded(guarded, drives) : null);
	let flow = read();
	for (;;) {
		let endedBy = flow && step.kind !== 'rest' ? ending(step, prepared, flow) : null;
		if (endedBy && saved && guarded && endedBy !== 'bms') {
			clock.timeS = locateEnd(step, prepared, drives, sums, saved, clock.timeS);
			flow = read();
		}
		if (!endedBy && clock.timeS >= endS) endedBy = 'duration';
		record.at(clock.timeS, flow, endedBy !== null);
		if (endedBy) return { endedBy, durationS: clock.timeS - startS, ...sums };
		const until = Math.min(clock.timeS + input.stepS, record.next(), endS);
		const stepS = until - clock.timeS;
		// Only voltage and tail ends are looked for inside a step.
		saved = guarded && step.kind !== 'rest' ? saveStep(cells, sums, clock.timeS, saved) : undefined;
		if (guarded) stepGuarded(guarded, drives, flow!, stepS, sums);
		for (const i of prepared.loose) restLoose(cells, i, stepS, sums);
		clock.timeS = until;
		clock.cellSteps += cells.count;
		if (clock.cellSteps > clock.mostCellSteps)
			refuse(
				'did-not-end',
				`${path}.until`,
				`The step did not end within ${clock.mostCellSteps} cell-steps: give durationS, an end it can reach, or a longer stepS.`
			);
		flow = read();
	}
}

let looseDecay = stepDecay(1);

/** A cell wired to nothing only leaks and settles. */
function restLoose(cells: Cells, i: number, stepS: number, sums: StepSums): void {
	if (looseDecay.stepS !== stepS) looseDecay = stepDecay(stepS);
	cells.currentA[i] = 0;
	const before = cells.heatJ[i];
	stepCell(cells, i, looseDecay);
	sums.heatWh += (cells.heatJ[i]! - before!) / 3600;
}

const LOCATE_ROUNDS = 40;

/** Goes back into the step that passed an end and finds the moment; leaves the battery there. @returns the time, s */
function locateEnd(
	step: SimulatedStep,
	prepared: Prepared,
	drives: readonly Drive[],
	sums: StepSums,
	saved: SavedStep,
	passedS: number
): number {
	const guarded = prepared.guarded!;
	const fromS = saved.fromS;
	const goTo = (timeS: number) => {
		returnToStep(prepared.cells, sums, saved);
		if (timeS > fromS) {
			stepGuarded({ ...guarded, bms: null, balancer: null }, drives, readGuarded(guarded, drives), timeS - fromS, sums);
			for (const i of prepared.loose) restLoose(prepared.cells, i, timeS - fromS, sums);
		}
		refreshCells(prepared.cells);
		return ending(step, prepared, readGuarded(guarded, drives)) !== null;
	};
	let [before, after] = [fromS, passedS];
	for (let n = 0; n < LOCATE_ROUNDS && after - before > 1e-6; n++) {
		const middle = (before + after) / 2;
		if (goTo(middle)) after = middle;
		else before = middle;
	}
	goTo(after);
	return after;
}
