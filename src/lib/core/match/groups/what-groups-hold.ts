import { max, median, min, sum } from 'd3-array';
import { intervalOf, seededRandom, type Interval } from '../../foundation/statistics';
import type { JudgedGroups } from './judge-match';
import type { MatchProblem } from './problem';
import { trueCapacities } from './true-capacities';

const DRAWS = 1000;
const SEED = 20_261_206;

type Groups = readonly (readonly (number | string)[])[];

const smallestOf = (groups: Groups, ah: ReadonlyMap<number | string, number>): number =>
	min(groups, (group) => sum(group, (id) => ah.get(id) ?? 0)) ?? 0;

/** The cells in the order they came, group by group. */
const arrivalGroups = ({ cells, series, parallel }: MatchProblem): Groups =>
	Array.from({ length: series }, (_, s) => cells.slice(s * parallel, (s + 1) * parallel).map((c) => c.id));

/**
 * What the smallest of these groups really holds, and how much more that is than the smallest in order of arrival, Ah, 95 %. Of many groups that
 * read alike the smallest is smaller than any of them reads; and who is chosen by what reads best is partly chosen by luck. Each drawn world gives
 * every cell a capacity its reading allows, and takes the smallest group of those, both ways.
 * @param groups ids of the problem’s cells; a cell without a doubt counts as read, one that is not measured as nothing
 */
export function whatGroupsHold(problem: MatchProblem, groups: Groups): { smallestAh: Interval; gainAh: Interval } {
	const draw = trueCapacities(problem.cells, seededRandom(SEED));
	const asTheyCame = arrivalGroups(problem);
	const worlds = Array.from({ length: DRAWS }, () => {
		const ah = draw();
		const smallestAh = smallestOf(groups, ah);
		return { smallestAh, gainAh: smallestAh - smallestOf(asTheyCame, ah) };
	});
	return {
		smallestAh: intervalOf(worlds.map((w) => w.smallestAh)),
		gainAh: intervalOf(worlds.map((w) => w.gainAh))
	};
}

/** What is known of groups given as ids of the problem’s cells, whoever put them together: one group or more. */
export function knownOf(problem: MatchProblem, groups: Groups): Omit<JudgedGroups, 'arrivalSmallestAh' | 'proof'> {
	const byId = new Map(problem.cells.map((c) => [c.id, c]));
	const own = groups.map((g) => g.flatMap((id) => byId.get(id) ?? []));
	const ah = own.map((g) => sum(g, (c) => c.capacityAh));
	return {
		smallestGroupAh: min(ah) ?? 0,
		spreadAh: (max(ah) ?? 0) - (min(ah) ?? 0),
		middleAh: median(ah) ?? 0,
		groupSdAh: max(own, (g) => Math.hypot(...g.map((c) => c.capacitySdAh ?? 0))) ?? 0,
		...whatGroupsHold(problem, groups)
	};
}
