import { CoreError, requirePositive } from '../shared';
import { cellConstants, stepCell, terminalVoltageV, type CellParameters, type CellState } from './cell';

export interface SimulatedRun {
	/** Same length; current positive into the cell, so negative here. */
	timeS: number[];
	voltageV: number[];
	currentA: number[];
	/** Charge taken out, Ah. */
	capacityAh: number;
	end: CellState;
}

/** Steps a simulated discharge may take before it is refused. */
const MOST_STEPS = 2_000_000;

/**
 * Discharges a cell at constant current to a cut-off, recording at every `recordEveryS`.
 * @param dischargeA positive amperes out of the cell; @param stepS inner step, s
 * @throws CoreError `too-long` when the cut-off is not reached
 */
export function simulateDischarge(
	cell: CellParameters,
	start: CellState,
	dischargeA: number,
	cutoffV: number,
	stepS: number,
	recordEveryS: number
): SimulatedRun {
	requirePositive(dischargeA, 'dischargeA');
	requirePositive(stepS, 'stepS');
	const constants = cellConstants(cell);
	const run: SimulatedRun = { timeS: [], voltageV: [], currentA: [], capacityAh: 0, end: start };
	let state = start;
	for (let n = 0; n < MOST_STEPS; n++) {
		const timeS = n * stepS;
		const voltageV = terminalVoltageV(constants, state, -dischargeA);
		const ended = voltageV <= cutoffV;
		if (ended || timeS % recordEveryS < stepS / 2) {
			run.timeS.push(timeS);
			run.voltageV.push(voltageV);
			run.currentA.push(-dischargeA);
		}
		if (ended) return { ...run, capacityAh: (dischargeA * timeS) / 3600, end: state };
		state = stepCell(cell, constants, state, -dischargeA, stepS);
	}
	throw new CoreError(
		'too-long',
		'stepS',
		`The discharge requires fewer than ${MOST_STEPS} steps, got more; use a longer step or a larger current.`
	);
}
