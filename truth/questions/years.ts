import { yearsToEnd } from '$lib/core/foundation/fade';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Question } from '../answer';
import { between, drawCell, oneOf } from '../world';

/** Further nobody looks, neither here nor there. */
const MAX_YEARS = 100;

/** How long a new battery lasts by what its cells were tested to hold, before anybody has watched it fade. */
export const years: Question = {
	name: 'years of a new battery',
	ask(world) {
		const { random, ratedAh } = world;
		const above = (mean: number, sd: number): number => {
			const drawn = normalDraw(random, mean, sd);
			return drawn > 0 ? drawn : above(mean, sd);
		};
		const endFraction = oneOf(random, [0.6, 0.7, 0.8]);
		const { capacityAh } = drawCell(world);
		const sdAh = ratedAh * between(random, 0.003, 0.015);
		const read = normalDraw(random, capacityAh, sdAh);
		const [a, b] = [above(0.015, 0.01), above(4e-5, 2.5e-5)];
		// Weekends in a van, or every day of a year off the grid.
		const efcPerYear = Math.exp(between(random, Math.log(40), Math.log(250)));
		let truth = 0;
		while (truth < MAX_YEARS && capacityAh / ratedAh - a * Math.sqrt(truth) - b * efcPerYear * truth > endFraction)
			truth = Math.min(MAX_YEARS, truth + 0.02);
		const ah = { low95: read - 1.96 * sdAh, likely: read, high95: read + 1.96 * sdAh };
		const { low95, high95 } = yearsToEnd({ ah, ratedAh, endFraction });
		return [{ kind: 'interval', of: 'years of a new battery', scale: 1, low: low95, high: high95, truth }];
	}
};
