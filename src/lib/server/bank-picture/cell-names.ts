import type { BankPicture } from '$lib/core/picture';

/** Names of the cells of each battery, group by group. */
export function cellNames({ batteries, cells }: BankPicture): Record<number, string[][]> {
	const labels = new Map(cells.map((c) => [c.id, c.label]));
	return Object.fromEntries(
		batteries.map((b) => [b.id, b.groups.map((g) => g.cellIds.map((id) => labels.get(id) ?? ''))])
	);
}
