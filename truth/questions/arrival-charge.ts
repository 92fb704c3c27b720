import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { socBounds } from '$lib/core/foundation/chemistry';
import type { Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell } from '../world';

const REST_S = 2 * 86400;

/** What charge a cell arrived with, by its rest voltage. */
export const arrivalCharge: Question = {
	name: 'arrival charge',
	ask(world) {
		const { random, nature } = world;
		const soc = random();
		const cells = createCells([{ parameters: drawCell(world), soc, branch: between(random, -1, 1) }], 25, nature);
		const meter = drawMeter(random, 'restVoltage');
		const read = meter.read(terminalVoltageV(cells, 0, 0));
		const { lowFraction, highFraction } = socBounds('LFP', read, meter.sd(read), REST_S);
		return [
			{
				kind: 'interval',
				of: 'state of charge from a rest voltage',
				low: lowFraction,
				high: highFraction,
				truth: soc,
				scale: 1
			}
		];
	}
};
