import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { judgeCapacity, toStandardConditions } from '$lib/core/test/capacity';
import { createCells, stepCell, stepDecay, terminalVoltageV, type CellParameters } from '$lib/core/world/cell-model';
import { CoreError } from '$lib/core/foundation/errors';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, drawCell, type TruthWorld } from '../world';

const STANDARD_C = 25;
const STANDARD_RATE = 0.2;
const CUTOFF_V = 2.5;
const STEP_S = 20;

/** What a full cell gives to the cut-off, Ah, by a meter that is never wrong. */
export function given({ nature }: TruthWorld, cell: CellParameters, dischargeA: number, temperatureC: number): number {
	// Held at its temperature, as a protocol has it.
	const parameters = { ...cell, temperatureC, massKg: 1e6 };
	const cells = createCells([{ parameters, soc: 1 }], temperatureC, nature);
	const decay = stepDecay(STEP_S);
	cells.currentA[0] = -dischargeA;
	let before = terminalVoltageV(cells, 0, -dischargeA);
	for (let steps = 0; ; steps++) {
		stepCell(cells, 0, decay);
		const now = terminalVoltageV(cells, 0, -dischargeA);
		if (now <= CUTOFF_V) {
			const share = Math.min(1, Math.max(0, (before - CUTOFF_V) / (before - now)));
			return (dischargeA * (steps + share) * STEP_S) / 3600;
		}
		before = now;
	}
}

/** Capacity of a cell from one run on a tester nobody has compared, in a room that is not 25 °C. */
export const capacity: Question = {
	name: 'capacity run',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const cell = drawCell(world);
		const truth = given(world, cell, STANDARD_RATE * ratedAh, STANDARD_C);
		const temperatureC = between(random, 8, 32);
		const cRate = between(random, 0.1, 0.5);
		const reading = given(world, cell, cRate * ratedAh, temperatureC) * (1 + normalDraw(random, 0, TESTER_GAIN_SD));
		const told = temperatureC + between(random, -1, 1);
		try {
			const measured = { capacityAh: reading, sdAh: reading * TESTER_GAIN_SD };
			const { capacityAh, sdAh } = toStandardConditions(measured, told, cRate, { cRate: STANDARD_RATE });
			// The same run by somebody who did not look at the thermometer.
			const untold = toStandardConditions(measured, null, cRate, { cRate: STANDARD_RATE });
			const { probabilityShort, outcome } = judgeCapacity({ id: 1, label: 'X' }, capacityAh, sdAh, ratedAh);
			return [
				{
					kind: 'interval',
					of: 'capacity at 25 °C and 0.2 C',
					low: capacityAh - 1.96 * sdAh,
					high: capacityAh + 1.96 * sdAh,
					truth,
					scale: ratedAh
				},
				{
					kind: 'interval',
					of: 'capacity at 25 °C and 0.2 C',
					stratum: 'temperature not told',
					scale: ratedAh,
					truth,
					low: untold.capacityAh - 1.96 * untold.sdAh,
					high: untold.capacityAh + 1.96 * untold.sdAh
				},
				{ kind: 'probability', of: 'cell is short of rated', stated: probabilityShort, happened: truth < ratedAh },
				{
					kind: 'defect',
					of: 'a cell short of rated, called short',
					present: truth < ratedAh,
					called: outcome === 'short'
				}
			];
		} catch (error) {
			if (error instanceof CoreError && error.code === 'correction-too-large') return [];
			throw error;
		}
	}
};
