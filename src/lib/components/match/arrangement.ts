/** Groups of cell ids, group 1 first, and the cells left over. */
export interface Arrangement {
	groups: number[][];
	spares: number[];
}

/** Two cells exchanged, wherever they are. Neither argument is changed. */
export function exchanged(arrangement: Arrangement, a: number, b: number): Arrangement {
	const swap = (id: number) => (id === a ? b : id === b ? a : id);
	return { groups: arrangement.groups.map((g) => g.map(swap)), spares: arrangement.spares.map(swap) };
}

/**
 * Which cell a dragged one changes places with: the one of the target that leaves the best arrangement.
 * @param cost smaller is better; @param target group index, or 'spares'
 * @returns null when the cell is there already or the target is empty
 */
export function bestPartner(
	arrangement: Arrangement,
	cellId: number,
	target: number | 'spares',
	cost: (a: Arrangement) => number
): number | null {
	const there = target === 'spares' ? arrangement.spares : arrangement.groups[target];
	if (there!.includes(cellId) || there!.length === 0) return null;
	return there!
		.map((id) => ({ id, cost: cost(exchanged(arrangement, cellId, id)) }))
		.reduce((a, b) => (b.cost < a.cost ? b : a)).id;
}
