import { CoreError, requireAlike, requireNotNegative, requirePositive } from '../../foundation/errors';

export interface MatchCell {
	id: number | string;
	capacityAh: number;
	/** One standard deviation, Ah; missing or null counts as exact. */
	capacitySdAh?: number | null;
	resistanceMohm?: number | null;
	batch?: string | null;
}

/** Fourth wish, after capacity, spread and resistance. */
export const BATCH_WISHES = ['none', 'together', 'apart'] as const;
export type BatchWish = (typeof BATCH_WISHES)[number];

export interface MatchProblem {
	series: number;
	parallel: number;
	/** In order of arrival. */
	cells: readonly MatchCell[];
	batchWish?: BatchWish;
	/** Judge each group at the 5 % quantile of its capacity instead of its best estimate. */
	robust?: boolean;
	/** Lists of indices of which no two may sit in one group. */
	keptApart?: readonly (readonly number[])[];
	/** Indices that stay where the first arrangement has them. */
	kept?: ReadonlySet<number>;
}

export interface MatchGroup {
	/** 1 = most negative. */
	position: number;
	/** From 1. */
	battery: number;
	cellIds: (number | string)[];
	capacityAh: number;
	/** One sd of the group's capacity, Ah. */
	capacitySdAh: number;
	/** Cells in parallel; null when a cell's is not known. */
	resistanceMohm: number | null;
}

/** Groups as indices into the problem's cells; spares are the indices in no group. */
export type Assignment = number[][];

/** Differences in Ah below this are rounding, not capacity. */
export const SAME_AH = 1e-9;
/** 5 % quantile of a normal doubt. */
const QUANTILE_SDS = 1.6448536269514722;

/** @throws CoreError `too-few-cells`, `duplicate-id`, `layout`, `not-positive` with the path of the cell */
export function checkProblem(problem: MatchProblem): void {
	for (const key of ['series', 'parallel'] as const)
		if (!Number.isInteger(problem[key]) || problem[key] < 1)
			throw new CoreError('layout', key, `${key} requires a whole number from 1, got ${problem[key]}`);
	const wanted = problem.series * problem.parallel;
	if (problem.cells.length < wanted)
		throw new CoreError(
			'too-few-cells',
			'cells',
			`${problem.series}S${problem.parallel}P requires ${wanted} cells, got ${problem.cells.length}. Add cells or choose a smaller layout.`
		);
	requireAlike(
		problem.cells.map((c) => c.capacityAh),
		(i) => `cells.${i}.capacityAh`
	);
	const seen = new Set<number | string>();
	problem.cells.forEach((cell, i) => {
		requirePositive(cell.capacityAh, `cells.${i}.capacityAh`);
		if (cell.capacitySdAh != null) requireNotNegative(cell.capacitySdAh, `cells.${i}.capacitySdAh`);
		if (cell.resistanceMohm != null) requirePositive(cell.resistanceMohm, `cells.${i}.resistanceMohm`);
		if (seen.has(cell.id))
			throw new CoreError('duplicate-id', `cells.${i}.id`, `Each cell requires its own id, got ${cell.id} twice`);
		seen.add(cell.id);
	});
}

/** What a group is worth when the smallest is maximised: its capacity, or that at the 5 % quantile. */
export function groupWorthAh(problem: MatchProblem, group: readonly number[]): number {
	let sum = 0;
	let variance = 0;
	for (const i of group) {
		sum += problem.cells[i]!.capacityAh;
		variance += (problem.cells[i]!.capacitySdAh ?? 0) ** 2;
	}
	return problem.robust ? sum - QUANTILE_SDS * Math.sqrt(variance) : sum;
}

/** Conductance of a group, 1/mΩ; null when a cell's resistance is not known. */
export function groupConductance(problem: MatchProblem, group: readonly number[]): number | null {
	let sum = 0;
	for (const i of group) {
		const resistance = problem.cells[i]!.resistanceMohm;
		if (resistance == null) return null;
		sum += 1 / resistance;
	}
	return sum;
}

/** How far an assignment is from ideal, in lexicographic order; smaller is better in every place. */
export interface Cost {
	/** How often two that are to be apart sit together. */
	meetings: number;
	/** Minus the smallest group, Ah. */
	shortage: number;
	spreadAh: number;
	conductanceSpread: number;
	batchBreaks: number;
}

/** How often two that are to be apart sit together. */
export function meetings(apart: readonly (readonly number[])[], groups: Assignment): number {
	if (apart.length === 0) return 0;
	const groupOf = new Map(groups.flatMap((g, k) => g.map((i) => [i, k] as const)));
	return apart.reduce((sum, list) => {
		const own = list.flatMap((i) => (groupOf.has(i) ? [groupOf.get(i)!] : []));
		return sum + own.length - new Set(own).size;
	}, 0);
}

function batchBreaks(problem: MatchProblem, groups: Assignment): number {
	const wish = problem.batchWish ?? 'none';
	if (wish === 'none') return 0;
	return groups.reduce((sum, group) => {
		const kinds = new Set(group.map((i) => problem.cells[i]!.batch ?? '')).size;
		return sum + (wish === 'together' ? kinds - 1 : group.length - kinds);
	}, 0);
}

/** The lexicographic cost of an assignment (models: smallest group, spread, conductance, batch wish). */
export function costOf(problem: MatchProblem, groups: Assignment): Cost {
	const worths = groups.map((g) => groupWorthAh(problem, g));
	const conductances = groups.map((g) => groupConductance(problem, g));
	const smallest = Math.min(...worths);
	const known = conductances.every((c): c is number => c !== null);
	return {
		meetings: meetings(problem.keptApart ?? [], groups),
		shortage: -smallest,
		spreadAh: Math.max(...worths) - smallest,
		conductanceSpread: known ? Math.max(...(conductances as number[])) - Math.min(...(conductances as number[])) : 0,
		batchBreaks: batchBreaks(problem, groups)
	};
}

/** Negative when a is better than b. Differences below rounding count as equal. */
export function compareCosts(a: Cost, b: Cost): number {
	if (a.meetings !== b.meetings) return a.meetings - b.meetings;
	for (const [x, y] of [
		[a.shortage, b.shortage],
		[a.spreadAh, b.spreadAh],
		[a.conductanceSpread, b.conductanceSpread]
	])
		if (Math.abs(x! - y!) > SAME_AH) return x! - y!;
	return a.batchBreaks - b.batchBreaks;
}

/** The groups in the product's words, position 1 first. */
export function describeGroups(problem: MatchProblem, groups: Assignment, seriesOfOne = groups.length): MatchGroup[] {
	return groups.map((group, i) => {
		const conductance = groupConductance(problem, group);
		return {
			position: (i % seriesOfOne) + 1,
			battery: Math.floor(i / seriesOfOne) + 1,
			cellIds: group.map((c) => problem.cells[c]!.id),
			capacityAh: group.reduce((sum, c) => sum + problem.cells[c]!.capacityAh, 0),
			capacitySdAh: Math.sqrt(group.reduce((sum, c) => sum + (problem.cells[c]!.capacitySdAh ?? 0) ** 2, 0)),
			resistanceMohm: conductance === null ? null : 1 / conductance
		};
	});
}
