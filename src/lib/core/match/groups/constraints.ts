import { CoreError } from '../../foundation/errors';
import { SAME_AH, type Assignment, type MatchCell, type MatchProblem } from './problem';

/** A cell that stays where a person put it. */
export interface Lock {
	cellId: MatchCell['id'];
	/** 1 = most negative. */
	position: number;
	/** From 1; the first when missing. */
	battery?: number | null;
}

/** What a person wants beside the best groups. */
export interface Wishes {
	/** Batteries built at once, each of S groups. */
	batteries?: number | null;
	locks?: readonly Lock[] | null;
	/** Cells that are left out. */
	exclude?: readonly MatchCell['id'][] | null;
	/** No two of one list in one group. */
	apart?: readonly (readonly MatchCell['id'][])[] | null;
}

/** A problem with its wishes resolved: groups of all batteries in one row, cells by index. */
export interface Wished {
	problem: MatchProblem;
	/** Groups of one battery. */
	seriesOfOne: number;
	/** Group of each locked cell, by index. */
	fixed: ReadonlyMap<number, number>;
	/** Lists of indices that may not meet. */
	apart: readonly (readonly number[])[];
	/** Whether anything but the number of groups is asked: then the proofs of free cells do not hold. */
	isBound: boolean;
}

const MAX_BATTERIES = 64;

/** @throws CoreError `layout`, `unknown`, `twice`, `locked-out`, `full`, `apart` with the path of what cannot be */
export function resolveWishes(asked: MatchProblem & Wishes): Wished {
	const { batteries, locks, exclude, apart, ...rest } = asked;
	const count = batteries ?? 1;
	if (!Number.isInteger(count) || count < 1 || count > MAX_BATTERIES)
		throw new CoreError(
			'layout',
			'batteries',
			`batteries requires a whole number from 1 to ${MAX_BATTERIES}, got ${count}`
		);
	const known = new Set(rest.cells.map((c) => c.id));
	const requireKnown = (id: MatchCell['id'], path: string) => {
		if (!known.has(id)) throw new CoreError('unknown', path, `${path} names ${id}, which is not among the cells`);
	};
	exclude?.forEach((id, i) => requireKnown(id, `exclude.${i}`));
	const out = new Set(exclude ?? []);
	const cells = rest.cells.filter((c) => !out.has(c.id));
	const place = new Map(cells.map((c, i) => [c.id, i]));
	const fixed = new Map<number, number>();
	const held = new Map<number, number>();
	locks?.forEach(({ cellId, position, battery }, i) => {
		requireKnown(cellId, `locks.${i}.cellId`);
		if (out.has(cellId))
			throw new CoreError('locked-out', `locks.${i}.cellId`, `locks.${i}: ${cellId} is locked and excluded at once`);
		const own = battery ?? 1;
		if (!Number.isInteger(position) || position < 1 || position > rest.series)
			throw new CoreError(
				'layout',
				`locks.${i}.position`,
				`locks.${i}.position requires 1 to ${rest.series}, got ${position}`
			);
		if (!Number.isInteger(own) || own < 1 || own > count)
			throw new CoreError('layout', `locks.${i}.battery`, `locks.${i}.battery requires 1 to ${count}, got ${own}`);
		const index = place.get(cellId)!;
		if (fixed.has(index)) throw new CoreError('twice', `locks.${i}.cellId`, `locks.${i}: ${cellId} is locked twice`);
		const group = (own - 1) * rest.series + position - 1;
		held.set(group, (held.get(group) ?? 0) + 1);
		if (held.get(group)! > rest.parallel)
			throw new CoreError(
				'full',
				`locks.${i}.position`,
				`locks.${i}: group ${position} takes ${rest.parallel} cells, more are locked into it`
			);
		fixed.set(index, group);
	});
	const lists = (apart ?? []).map((list, i) => {
		list.forEach((id, k) => requireKnown(id, `apart.${i}.${k}`));
		return [...new Set(list)].flatMap((id) => (place.has(id) ? [place.get(id)!] : []));
	});
	lists.forEach((list, i) => {
		const groups = list.flatMap((index) => (fixed.has(index) ? [fixed.get(index)!] : []));
		if (new Set(groups).size < groups.length)
			throw new CoreError('apart', `apart.${i}`, `apart.${i}: two of these are locked into one group`);
	});
	return {
		problem: {
			...rest,
			cells,
			series: rest.series * count,
			kept: new Set(fixed.keys()),
			keptApart: lists.filter((l) => l.length > 1)
		},
		seriesOfOne: rest.series,
		fixed,
		apart: lists,
		isBound: fixed.size > 0 || lists.some((l) => l.length > 1)
	};
}

/** Groups with the locked cells in their places and the largest others spread over the room that is left, apart where they are to be. */
export function wishedStart({ problem, fixed, apart }: Wished): Assignment {
	const { series, parallel, cells } = problem;
	const groups: Assignment = Array.from({ length: series }, () => []);
	for (const [index, group] of fixed) groups[group]!.push(index);
	const sums = groups.map((g) => g.reduce((sum, i) => sum + cells[i]!.capacityAh, 0));
	const clashes = (index: number, group: readonly number[]) =>
		apart.some((list) => list.includes(index) && group.some((i) => list.includes(i)));
	const free = cells
		.map((_, i) => i)
		.filter((i) => !fixed.has(i))
		.sort((a, b) => cells[b]!.capacityAh - cells[a]!.capacityAh);
	const later: number[] = [];
	const put = (index: number, anywhere: boolean): boolean => {
		let best = -1;
		groups.forEach((g, k) => {
			if (g.length >= parallel || (!anywhere && clashes(index, g))) return;
			if (best < 0 || sums[k]! < sums[best]!) best = k;
		});
		if (best < 0) return false;
		groups[best]!.push(index);
		sums[best]! += cells[index]!.capacityAh;
		return true;
	};
	for (const index of free) if (!put(index, false)) later.push(index);
	// Where no room is left apart, they meet: the search may still part them with a spare.
	for (const index of later) if (groups.some((g) => g.length < parallel)) put(index, true);
	return groups;
}

/**
 * No arrangement that keeps the locks has a larger smallest group: the mean of what the locked and the best free cells hold, and each group
 * with what is locked into it and the best that could join them.
 */
export function wishedBoundAh({ problem, fixed }: Wished): number {
	const { series, parallel, cells } = problem;
	const free = cells.flatMap((c, i) => (fixed.has(i) ? [] : [c.capacityAh])).sort((a, b) => b - a);
	const best = (count: number) => free.slice(0, count).reduce((a, b) => a + b, 0);
	const locked = Array.from({ length: series }, () => ({ ah: 0, cells: 0 }));
	for (const [index, group] of fixed) {
		locked[group]!.ah += cells[index]!.capacityAh;
		locked[group]!.cells++;
	}
	const all = locked.reduce((sum, g) => sum + g.ah, 0) + best(series * parallel - fixed.size);
	return Math.min(all / series, ...locked.map((g) => g.ah + best(parallel - g.cells))) + SAME_AH / 2;
}
