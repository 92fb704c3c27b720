import type { Random } from '../../foundation/statistics';
import { compareCosts, costOf, type Assignment, type MatchProblem } from './problem';

/** Largest cell to the group with least so far and room left (longest-processing-time rule, Graham 1969). */
export function greedyGroups(problem: MatchProblem): Assignment {
	const order = problem.cells
		.map((_, i) => i)
		.sort((a, b) => problem.cells[b]!.capacityAh - problem.cells[a]!.capacityAh);
	const groups: Assignment = Array.from({ length: problem.series }, () => []);
	const sums = groups.map(() => 0);
	for (const i of order.slice(0, problem.series * problem.parallel)) {
		let best = -1;
		groups.forEach((g, k) => {
			if (g.length < problem.parallel && (best < 0 || sums[k]! < sums[best]!)) best = k;
		});
		groups[best]!.push(i);
		sums[best]! += problem.cells[i]!.capacityAh;
	}
	return groups;
}

const clone = (groups: Assignment) => groups.map((g) => [...g]);

function sparesOf(problem: MatchProblem, groups: Assignment): number[] {
	const used = new Set(groups.flat());
	return problem.cells.map((_, i) => i).filter((i) => !used.has(i));
}

/** Exchanges two cells, in groups or spare, whenever that lowers the cost, until no exchange does. The argument is not changed. */
export function improveBySwaps(problem: MatchProblem, start: Assignment, shouldStop: () => boolean): Assignment {
	const slots = [...clone(start), sparesOf(problem, start)];
	const groups = slots.slice(0, -1);
	let cost = costOf(problem, groups);
	for (let improved = true; improved;) {
		improved = false;
		for (let a = 0; a < groups.length; a++)
			for (let b = a + 1; b < slots.length; b++) {
				// One pass over thousands of cells takes minutes: the clock is looked at within it.
				if (shouldStop()) return groups;
				for (let i = 0; i < slots[a]!.length; i++) {
					if (problem.kept?.has(slots[a]![i]!)) continue;
					for (let j = 0; j < slots[b]!.length; j++) {
						if (problem.kept?.has(slots[b]![j]!)) continue;
						[slots[a]![i], slots[b]![j]] = [slots[b]![j]!, slots[a]![i]!];
						const swapped = costOf(problem, groups);
						if (compareCosts(swapped, cost) < 0) {
							cost = swapped;
							improved = true;
						} else [slots[a]![i], slots[b]![j]] = [slots[b]![j]!, slots[a]![i]!];
					}
				}
			}
	}
	return groups;
}

/** A few random exchanges, to leave a local optimum. */
export function shaken(problem: MatchProblem, groups: Assignment, random: Random): Assignment {
	const slots = [...clone(groups), sparesOf(problem, groups)].filter((s) => s.length > 0);
	const pick = (n: number) => Math.floor(random() * n);
	for (let k = 0; k < 3 && slots.length > 1; k++) {
		const a = pick(slots.length);
		const b = (a + 1 + pick(slots.length - 1)) % slots.length;
		const i = pick(slots[a]!.length);
		const j = pick(slots[b]!.length);
		if (problem.kept?.has(slots[a]![i]!) || problem.kept?.has(slots[b]![j]!)) continue;
		[slots[a]![i], slots[b]![j]] = [slots[b]![j]!, slots[a]![i]!];
	}
	return slots.slice(0, groups.length);
}
