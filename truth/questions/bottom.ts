import { reboundV } from '$lib/core/balance/steps';
import { simulate } from '$lib/core/world/simulation';
import type { Answer, Question } from '../answer';
import { between, drawCell } from '../world';

const HOUR_S = 3600;

/** A cell discharged to a voltage under load: what it comes back to. */
export const bottom: Question = {
	name: 'rebound from the bottom',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const cell = { ...drawCell(world), id: 1, soc: between(random, 0.03, 0.12) };
		const rate = between(random, 0.01, 0.2);
		const endV = between(random, 2.55, 2.85);
		const { cells, steps } = simulate({
			world: { chemistry: 'LFP', cells: [cell], wiring: { kind: 'loose' }, nature, seed: Math.floor(random() * 1e9) },
			steps: [
				{ kind: 'discharge', currentA: rate * ratedAh, until: { cellLowV: endV } },
				{ kind: 'rest', until: { durationS: 12 * HOUR_S } }
			],
			stepS: 2,
			recordEveryS: HOUR_S
		});
		if (steps[0]!.endedBy !== 'cellLow' || steps[0]!.durationS < 600) return [];
		const { low95, high95 } = reboundV('LFP', ratedAh, endV, rate * ratedAh);
		return [
			{
				kind: 'interval',
				of: 'volts after the last rest',
				scale: 0.1,
				truth: cells[1]!.voltageV.at(-1)!,
				low: low95,
				high: high95
			}
		];
	}
};
