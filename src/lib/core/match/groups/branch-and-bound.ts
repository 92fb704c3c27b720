import { SAME_AH, type Assignment } from './problem';

export interface SearchResult {
	/** A better assignment than the one given, or null when none was found. */
	groups: Assignment | null;
	/** The search ran to its end: nothing better exists than what is returned or was given. */
	complete: boolean;
}

/** Nodes between two looks at the clock. */
const LOOK_EVERY = 2048;

/**
 * Looks for P-cell groups that all lie within (low, high), better than the bounds given, by depth-first branch and
 * bound: the largest free cell is placed (or spared while spares remain), its partners are enumerated, and a branch
 * dies when its waste above `low` exceeds what the total can afford.
 */
class GroupSearch {
	private readonly used: boolean[];
	private readonly groups: number[][] = [];
	private nodes = 0;
	private stopped = false;

	constructor(
		private readonly capacities: readonly number[],
		private readonly series: number,
		private readonly parallel: number,
		private bounds: { low: number; high: number },
		private readonly onFound: (groups: Assignment) => { low: number; high: number },
		private readonly shouldStop: () => boolean
	) {
		this.used = capacities.map(() => false);
	}

	/** True when the whole tree was searched. */
	run(): boolean {
		const chosen = this.series * this.parallel;
		const largestTotal = this.capacities.slice(0, chosen).reduce((a, b) => a + b, 0);
		this.fill(0, this.capacities.length - chosen, largestTotal);
		return !this.stopped;
	}

	private fill(from: number, spares: number, bestTotal: number): void {
		if (this.stopped) return;
		const left = this.series - this.groups.length;
		if (left === 0) {
			this.bounds = this.onFound(this.groups.map((g) => [...g]));
			return;
		}
		if (bestTotal < left * this.bounds.low) return;
		let anchor = from;
		while (this.used[anchor]) anchor++;
		this.used[anchor] = true;
		this.extend([anchor], anchor + 1, this.capacities[anchor]!, left, spares, bestTotal);
		if (spares > 0) this.fill(anchor + 1, spares - 1, this.totalWithout(anchor, left, spares, bestTotal));
		this.used[anchor] = false;
	}

	/** The most the groups still to fill can hold once `anchor` is set aside as a spare: the next cell in line takes its place. */
	private totalWithout(anchor: number, left: number, spares: number, bestTotal: number): number {
		const replacement = this.freeFrom(anchor + 1)[left * this.parallel - 1];
		return (
			bestTotal -
			this.capacities[anchor]! +
			(spares > 0 && replacement !== undefined ? this.capacities[replacement]! : 0)
		);
	}

	private freeFrom(from: number): number[] {
		const free: number[] = [];
		for (let i = from; i < this.capacities.length; i++) if (!this.used[i]) free.push(i);
		return free;
	}

	private extend(group: number[], from: number, sum: number, left: number, spares: number, bestTotal: number): void {
		if (++this.nodes % LOOK_EVERY === 0 && this.shouldStop()) this.stopped = true;
		if (this.stopped) return;
		if (group.length === this.parallel) {
			if (sum < this.bounds.low || sum > this.bounds.high) return;
			if (bestTotal - sum < (left - 1) * this.bounds.low) return;
			this.groups.push(group);
			this.fill(group[0]! + 1, spares, bestTotal - sum);
			this.groups.pop();
			return;
		}
		const missing = this.parallel - group.length;
		let previous = NaN;
		for (let i = from; i < this.capacities.length; i++) {
			if (this.used[i] || this.capacities[i] === previous) continue;
			previous = this.capacities[i]!;
			if (sum + missing * this.capacities[i]! < this.bounds.low) return;
			if (sum + this.capacities[i]! > this.bounds.high) continue;
			this.used[i] = true;
			this.extend([...group, i], i + 1, sum + this.capacities[i]!, left, spares, bestTotal);
			this.used[i] = false;
		}
	}
}

const sumsOf = (capacities: readonly number[], groups: Assignment) =>
	groups.map((g) => g.reduce((sum, i) => sum + capacities[i]!, 0));

/**
 * Improves the smallest group. Only the S·P largest cells matter: putting a larger cell in a group never makes it smaller.
 * @param capacities falling, Ah; @param smallestAh the best known smallest group
 */
export function raiseSmallest(
	capacities: readonly number[],
	series: number,
	parallel: number,
	smallestAh: number,
	shouldStop: () => boolean
): SearchResult {
	const top = capacities.slice(0, series * parallel);
	let groups: Assignment | null = null;
	const search = new GroupSearch(
		top,
		series,
		parallel,
		{ low: smallestAh + SAME_AH, high: Infinity },
		(found) => {
			groups = found;
			return { low: Math.min(...sumsOf(top, found)) + SAME_AH, high: Infinity };
		},
		shouldStop
	);
	const complete = search.run();
	return { groups, complete };
}

/**
 * Lowers the largest group while no group falls below `smallestAh`; here spares matter.
 * @param capacities falling, Ah; @param largestAh the best known largest group
 */
export function lowerLargest(
	capacities: readonly number[],
	series: number,
	parallel: number,
	smallestAh: number,
	largestAh: number,
	shouldStop: () => boolean
): SearchResult {
	let groups: Assignment | null = null;
	const low = smallestAh - SAME_AH;
	const search = new GroupSearch(
		capacities,
		series,
		parallel,
		{ low, high: largestAh - SAME_AH },
		(found) => {
			groups = found;
			return { low, high: Math.max(...sumsOf(capacities, found)) - SAME_AH };
		},
		shouldStop
	);
	const complete = search.run();
	return { groups, complete };
}
