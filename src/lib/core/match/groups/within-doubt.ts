import { SAME_AH, costOf, groupWorthAh, type Assignment, type MatchProblem } from './problem';

/** Arrangements whose smallest group differs by less than this share of its own doubt are as good as each other. */
const DOUBT_SHARE = 0.5;
/** Exchanges are tried this often, whatever the time left. */
const ROUNDS = 40;

/** Standard deviation of the smallest group, Ah. */
function smallestSdAh(problem: MatchProblem, groups: Assignment): number {
	const worths = groups.map((g) => groupWorthAh(problem, g));
	const smallest = groups[worths.indexOf(Math.min(...worths))]!;
	return Math.sqrt(smallest.reduce((sum, i) => sum + (problem.cells[i]!.capacitySdAh ?? 0) ** 2, 0));
}

/**
 * Spread of group conductance, 1/mΩ, where some resistances are not known: such a cell counts as the mean of the known ones, and its group
 * reaches as far as they scatter. 0 where none, or one, is known.
 */
export function expectedConductanceSpread(problem: MatchProblem, groups: Assignment): number {
	const known = problem.cells.flatMap((c) => (c.resistanceMohm == null ? [] : [1 / c.resistanceMohm]));
	if (known.length < 2) return 0;
	const mean = known.reduce((a, b) => a + b, 0) / known.length;
	const sd = Math.sqrt(known.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (known.length - 1));
	const reach = groups.map((g) => {
		const own = g.map((i) => problem.cells[i]!.resistanceMohm);
		const sum = own.reduce<number>((total, r) => total + (r == null ? mean : 1 / r), 0);
		const unsure = sd * Math.sqrt(own.filter((r) => r == null).length);
		return { low: sum - unsure, high: sum + unsure };
	});
	return Math.max(...reach.map((r) => r.high)) - Math.min(...reach.map((r) => r.low));
}

/**
 * Where capacities carry a doubt: among arrangements whose smallest group is within half of its sd of the best one's, the one with the least
 * spread of conductance, by exchanges of two cells from the best. Without doubts, or with one cell a group, the best is returned.
 * Locked cells stay, and what is to be apart stays apart.
 */
export function evenedWithinDoubt(problem: MatchProblem, best: Assignment, shouldStop: () => boolean): Assignment {
	const allowedAh = DOUBT_SHARE * smallestSdAh(problem, best);
	if (allowedAh <= SAME_AH) return best;
	const bestCost = costOf(problem, best);
	const floor = -bestCost.shortage - allowedAh;
	let groups = best;
	let spread = expectedConductanceSpread(problem, groups);
	for (let round = 0; round < ROUNDS && !shouldStop(); round++) {
		const next = bestExchange(problem, groups, { floor, meetings: bestCost.meetings, spread }, shouldStop);
		if (!next) break;
		groups = next.groups;
		spread = next.spread;
	}
	return groups;
}

/** The exchange of two cells that lowers the spread of conductance most while no group falls below the floor; null where none does. */
function bestExchange(
	problem: MatchProblem,
	groups: Assignment,
	{ floor, meetings, spread }: { floor: number; meetings: number; spread: number },
	shouldStop: () => boolean
): { groups: Assignment; spread: number } | null {
	const used = new Set(groups.flat());
	const slots = [...groups.map((g) => [...g]), problem.cells.map((_, i) => i).filter((i) => !used.has(i))];
	const tried = slots.slice(0, -1);
	let found: { groups: Assignment; spread: number } | null = null;
	for (let a = 0; a < tried.length; a++)
		for (let b = a + 1; b < slots.length; b++)
			for (let i = 0; i < slots[a]!.length; i++) {
				// One look over thousands of cells takes minutes: the clock is looked at within it.
				if (shouldStop()) return found;
				if (problem.kept?.has(slots[a]![i]!)) continue;
				for (let j = 0; j < slots[b]!.length; j++) {
					if (problem.kept?.has(slots[b]![j]!)) continue;
					[slots[a]![i], slots[b]![j]] = [slots[b]![j]!, slots[a]![i]!];
					const cost = costOf(problem, tried);
					const own = expectedConductanceSpread(problem, tried);
					if (-cost.shortage >= floor && cost.meetings <= meetings && own < (found?.spread ?? spread) - 1e-12)
						found = { groups: tried.map((g) => [...g]), spread: own };
					[slots[a]![i], slots[b]![j]] = [slots[b]![j]!, slots[a]![i]!];
				}
			}
	return found;
}
