import { CoreError, requirePositive } from '../../foundation/errors';
import { createCells, terminalVoltageV, type Cells, type StartingCell } from './cells';
import { stepCell, stepDecay } from './step';

export interface SimulatedRun {
	/** Same length; current positive into the cell, so negative here. */
	timeS: number[];
	voltageV: number[];
	currentA: number[];
	/** Charge taken out, Ah. */
	capacityAh: number;
	/** The cell as it was left. */
	end: Cells;
}

/** Steps a simulated discharge may take before it is refused. */
const MAX_STEPS = 2_000_000;

/**
 * Discharges one cell at constant current to a cut-off in a room at its own temperature, recording at every `recordEveryS`.
 * @param dischargeA positive amperes out of the cell; @param stepS inner step, s
 * @throws CoreError `too-long` when the cut-off is not reached
 */
export function simulateDischarge(
	start: StartingCell,
	dischargeA: number,
	cutoffV: number,
	stepS: number,
	recordEveryS: number
): SimulatedRun {
	requirePositive(dischargeA, 'dischargeA');
	requirePositive(stepS, 'stepS');
	const cells = createCells([start], start.parameters.temperatureC);
	const decay = stepDecay(stepS);
	const run: SimulatedRun = { timeS: [], voltageV: [], currentA: [], capacityAh: 0, end: cells };
	cells.currentA[0] = -dischargeA;
	for (let n = 0; n < MAX_STEPS; n++) {
		const timeS = n * stepS;
		const voltageV = terminalVoltageV(cells, 0, -dischargeA);
		const ended = voltageV <= cutoffV;
		if (ended || timeS % recordEveryS < stepS / 2) {
			run.timeS.push(timeS);
			run.voltageV.push(voltageV);
			run.currentA.push(-dischargeA);
		}
		if (ended) return { ...run, capacityAh: (dischargeA * timeS) / 3600 };
		stepCell(cells, 0, decay);
	}
	throw new CoreError(
		'too-long',
		'stepS',
		`The discharge requires fewer than ${MAX_STEPS} steps, got more; use a longer step or a larger current.`
	);
}
