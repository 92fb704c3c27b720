import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { socBounds } from '$lib/core/foundation/chemistry';
import type { Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell } from '../world';

const REST_H = 3;
/** How far the surface runs ahead of the bulk, in charge per C of rate. */
const SURFACE_PER_C = 0.03;

/** What charge a cell holds by its voltage three hours after a discharge, whose surface settles within twenty minutes or for hours. */
export const afterDischarge: Question = {
	name: 'after a discharge',
	ask(world) {
		const { random, nature } = world;
		const soc = random() < 0.5 ? between(random, 0.01, 0.2) : random();
		const settlesH = Math.exp(between(random, Math.log(0.3), Math.log(3)));
		const ahead = SURFACE_PER_C * nature.kappa * between(random, 0.1, 0.5) * Math.exp(-REST_H / settlesH);
		const surface = Math.max(0, soc - ahead);
		const cells = createCells(
			[{ parameters: drawCell(world), soc: surface, branch: between(random, -1, -0.6) }],
			25,
			nature
		);
		const meter = drawMeter(random, 'restVoltage');
		const read = meter.read(terminalVoltageV(cells, 0, 0));
		return [null, 'discharge' as const].map((lastMove) => {
			const { lowFraction, highFraction } = socBounds('LFP', read, meter.sd(read), REST_H * 3600, lastMove);
			return {
				kind: 'interval' as const,
				of: 'state of charge from a rest voltage',
				stratum: `three hours after a discharge${lastMove ? ', told' : ''}`,
				low: lowFraction,
				high: highFraction,
				truth: soc,
				scale: 1
			};
		});
	}
};
