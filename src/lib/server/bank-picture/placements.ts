import type { Knex } from 'knex';
import { cells, placements, type Placement } from '../records';

/** Where the cells of a bank are now: open placements by battery and group. */
export const currentPlacements = (bankId: number, tx?: Knex): Promise<Placement[]> =>
	placements.all({ bankId, removedAt: null }, tx);

/** Open placements of one battery with the cells' labels, by group. */
export async function placedLabels(
	bankId: number,
	battery: number
): Promise<{ cellId: number; position: number; label: string }[]> {
	const placed = (await currentPlacements(bankId)).filter((p) => p.battery === battery);
	const labels = new Map(
		(placed.length ? await cells.all({ id: placed.map((p) => p.cellId) }) : []).map((c) => [c.id, c.label])
	);
	return placed.map((p) => ({ cellId: p.cellId, position: p.position, label: labels.get(p.cellId) ?? '' }));
}
