import { BUILD_LIMITS } from '../verdicts';
import { max, min } from 'd3-array';
import type { Chemistry } from '../../foundation/chemistry';

/** A cell as far as it matters whether it may be built in. Null: not known, and held against nobody. */
export interface BuildableCell {
	id: number;
	label: string;
	/** Something stops it from being used. */
	isStopped: boolean;
	isUsed: boolean;
	capacityAh: number | null;
	resistanceMohm: number | null;
	terminalKind: string | null;
	/** As it was sold. */
	grade: string | null;
	/** ISO date, by its code. */
	producedOn: string | null;
	/** By its code. */
	chemistry: Chemistry | null;
}

export const REFUSALS = [
	'stopped',
	'used-untested',
	'chemistry',
	'terminals',
	'grade',
	'age',
	'capacity-spread',
	'resistance-spread'
] as const;
export type RefusalReason = (typeof REFUSALS)[number];

export interface Refusal {
	why: RefusalReason;
	/** Who; empty where it is of all. */
	cellIds: number[];
	/** What was found, in short: `A and B`, `14 %`. */
	found: string;
}

const MONTH_MS = 30.4375 * 86_400_000;

/** Why these groups should not be built in series; empty: nothing speaks against it. @param groups of known cells, most negative first */
export function refusalsOf(groups: readonly (readonly BuildableCell[])[], bankChemistry: Chemistry): Refusal[] {
	const cells = groups.flat();
	const who = (why: RefusalReason, own: readonly BuildableCell[], found: string): Refusal[] =>
		own.length ? [{ why, cellIds: own.map((c) => c.id), found }] : [];
	const labels = (own: readonly BuildableCell[]) => own.map((c) => c.label).join(', ');
	const stopped = cells.filter((c) => c.isStopped);
	const untested = cells.filter((c) => c.isUsed && c.capacityAh === null);
	const other = cells.filter((c) => c.chemistry !== null && c.chemistry !== bankChemistry);
	return [
		...who('stopped', stopped, labels(stopped)),
		...who('used-untested', untested, labels(untested)),
		...who('chemistry', other, [...new Set(other.map((c) => c.chemistry))].join(' and ')),
		...mixed('terminals', cells, (c) => c.terminalKind),
		...mixed('grade', cells, (c) => c.grade),
		...apartInAge(cells),
		...apartInCapacity(groups),
		...apartInResistance(cells)
	];
}

/** The few against the many. */
function mixed(
	why: RefusalReason,
	cells: readonly BuildableCell[],
	of: (cell: BuildableCell) => string | null
): Refusal[] {
	const kinds = [...new Set(cells.flatMap((c) => of(c) ?? []))];
	if (kinds.length < 2) return [];
	const count = (kind: string) => cells.filter((c) => of(c) === kind).length;
	const most = kinds.reduce((a, b) => (count(b) > count(a) ? b : a));
	const few = cells.filter((c) => of(c) !== null && of(c) !== most);
	return [{ why, cellIds: few.map((c) => c.id), found: kinds.join(' and ') }];
}

function apartInAge(cells: readonly BuildableCell[]): Refusal[] {
	const made = cells.flatMap((c) => (c.producedOn ? [Date.parse(c.producedOn)] : []));
	if (made.length < 2) return [];
	const months = (max(made)! - min(made)!) / MONTH_MS;
	return months > BUILD_LIMITS.ageMonths ? [{ why: 'age', cellIds: [], found: `${Math.round(months)} months` }] : [];
}

function apartInCapacity(groups: readonly (readonly BuildableCell[])[]): Refusal[] {
	const sums = groups.map((g) =>
		g.some((c) => c.capacityAh === null) ? null : g.reduce((s, c) => s + c.capacityAh!, 0)
	);
	if (sums.length < 2 || sums.includes(null)) return [];
	const known = sums as number[];
	const spread = (max(known)! - min(known)!) / min(known)!;
	if (spread <= BUILD_LIMITS.groupSpread) return [];
	return [{ why: 'capacity-spread', cellIds: [], found: `${(100 * spread).toFixed(0)} %` }];
}

function apartInResistance(cells: readonly BuildableCell[]): Refusal[] {
	const known = cells.filter((c) => c.resistanceMohm !== null && c.resistanceMohm > 0);
	if (known.length < 2) return [];
	const least = min(known, (c) => c.resistanceMohm!)!;
	const over = known.filter((c) => c.resistanceMohm! > BUILD_LIMITS.resistanceFactor * least);
	const factor = max(known, (c) => c.resistanceMohm!)! / least;
	return over.length
		? [{ why: 'resistance-spread', cellIds: over.map((c) => c.id), found: `${factor.toFixed(1)} times` }]
		: [];
}
