import { max, mean, min, sum, variance } from 'd3-array';
import { intervalOf, normalDraw, seededRandom, type Interval, type Random } from '../shared';
import type { JudgedGroups } from './judge-match';
import type { MatchProblem } from './problem';

const DRAWS = 1000;
const SEED = 20_261_206;
/** Fewer cells tell nothing of how such cells scatter. */
const LEAST_CELLS = 6;

type Cell = MatchProblem['cells'][number];

/** χ² of so many degrees, divided by them (Wilson and Hilferty). */
const chiSquareShare = (random: Random, degrees: number): number => {
	const spread = 2 / (9 * degrees);
	return Math.max(0.05, 1 - spread + normalDraw(random, 0, Math.sqrt(spread))) ** 3;
};

/**
 * A world’s true capacities, one draw after the other: what a reading’s own doubt adds to the scatter of all is taken out (shrinkage to their
 * mean by the variance that is left), since a cell that reads lowest is seldom as low as it reads. Mean and scatter of such cells are drawn too,
 * as so few tell them.
 */
function trueCapacities(cells: readonly Cell[], random: Random): () => Map<Cell['id'], number> {
	const sdOf = (c: Cell) => c.capacitySdAh ?? 0;
	const asRead = (c: Cell) => normalDraw(random, c.capacityAh, sdOf(c));
	const n = cells.length;
	if (n < LEAST_CELLS) return () => new Map(cells.map((c) => [c.id, asRead(c)]));
	const centre = mean(cells, (c) => c.capacityAh)!;
	const seen = variance(cells, (c) => c.capacityAh)!;
	const doubt = mean(cells, (c) => sdOf(c) ** 2)!;
	return () => {
		const scatter = Math.max(doubt / 20, seen / chiSquareShare(random, n - 1) - doubt);
		const middle = normalDraw(random, centre, Math.sqrt((scatter + doubt) / n));
		return new Map(
			cells.map((c) => {
				const kept = sdOf(c) === 0 ? 1 : scatter / (scatter + sdOf(c) ** 2);
				return [c.id, normalDraw(random, middle + kept * (c.capacityAh - middle), Math.sqrt(kept) * sdOf(c))];
			})
		);
	};
}

/**
 * What the smallest of these groups really holds, Ah, 95 %. Of many groups that read alike the smallest is smaller than any of them reads:
 * each drawn world gives every cell a capacity its reading allows, and takes the smallest group of those.
 * @param groups ids of the problem’s cells; a cell without a doubt counts as read, one that is not measured as nothing
 */
export function smallestGroupRange(problem: MatchProblem, groups: readonly (readonly (number | string)[])[]): Interval {
	const draw = trueCapacities(problem.cells, seededRandom(SEED));
	return intervalOf(
		Array.from({ length: DRAWS }, () => {
			const ah = draw();
			return min(groups, (group) => group.reduce<number>((sum, id) => sum + (ah.get(id) ?? 0), 0)) ?? 0;
		})
	);
}

/** What is known of groups given as ids of the problem’s cells, whoever put them together: one group or more. */
export function knownOf(
	problem: MatchProblem,
	groups: readonly (readonly (number | string)[])[]
): Omit<JudgedGroups, 'arrivalSmallestAh' | 'proof'> {
	const byId = new Map(problem.cells.map((c) => [c.id, c]));
	const own = groups.map((g) => g.flatMap((id) => byId.get(id) ?? []));
	const ah = own.map((g) => sum(g, (c) => c.capacityAh));
	return {
		smallestGroupAh: min(ah) ?? 0,
		spreadAh: (max(ah) ?? 0) - (min(ah) ?? 0),
		groupSdAh: max(own, (g) => Math.hypot(...g.map((c) => c.capacitySdAh ?? 0))) ?? 0,
		smallestAh: smallestGroupRange(problem, groups)
	};
}
