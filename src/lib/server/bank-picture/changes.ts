import type { Knex } from 'knex';
import type { BatteryChange, PictureBattery } from '$lib/core/picture';
import { database } from '../db/connection';
import { batteryWorks } from '../records';

/** A cell that is put back into the group it left within this time was never away, ms. */
const SAME_ACT_MS = 60_000;

interface Removal {
	group_id: number;
	cell_id: number;
	label: string;
	removed_at: Date | string;
	/** The one that came into the group for it; null: none did. */
	into_label: string | null;
}

/** The last cell that left each group of some batteries for good. */
async function removalsOf(batteryIds: readonly number[], db: Knex): Promise<Removal[]> {
	return db('placements as p')
		.join('groups as g', 'g.id', 'p.group_id')
		.join('cells as c', 'c.id', 'p.cell_id')
		.whereIn('g.battery_id', [...batteryIds])
		.whereNotNull('p.removed_at')
		.whereNull('p.deleted_at')
		.whereNotExists(
			// Match lays a battery anew: a cell that goes back to its own place has not been touched.
			db('placements as again')
				.select('again.id')
				.whereRaw('again.group_id = p.group_id and again.cell_id = p.cell_id and again.deleted_at is null')
				.whereRaw('again.id <> p.id and again.placed_at >= p.removed_at')
				.whereRaw('again.placed_at <= date_add(p.removed_at, interval ? microsecond)', [SAME_ACT_MS * 1000])
		)
		.orderBy('p.removed_at')
		.select('p.group_id', 'p.cell_id', 'c.label', 'p.removed_at', {
			into_label: db('placements as n')
				.join('cells as x', 'x.id', 'n.cell_id')
				.whereRaw('n.group_id = p.group_id and n.removed_at is null and n.deleted_at is null')
				.whereRaw('n.placed_at >= p.removed_at')
				.orderBy('n.placed_at')
				.limit(1)
				.select('x.label')
		});
}

const iso = (at: Date | string): string => new Date(at).toISOString();

/**
 * What was exchanged, taken out, moved or opened in the batteries of a bank; the latest of each group and of each kind of work.
 */
export async function batteryChanges(
	batteries: readonly PictureBattery[],
	db: Knex = database()
): Promise<BatteryChange[]> {
	const built = batteries.filter((b) => b.kind === 'built');
	if (built.length === 0) return [];
	const ids = built.map((b) => b.id);
	const [removals, works] = await Promise.all([removalsOf(ids, db), batteryWorks.all({ batteryId: ids })]);
	const placeOf = new Map(
		built.flatMap((battery) => battery.groups.map((group) => [group.id, { battery, group }] as const))
	);
	const latest = new Map(removals.map((r) => [r.group_id, r]));
	return [
		...[...latest.values()].flatMap((removal): BatteryChange[] => {
			const place = placeOf.get(removal.group_id);
			if (!place) return [];
			const { battery, group } = place;
			const isWhole = group.cellIds.length === battery.parallel;
			return [
				{
					batteryId: battery.id,
					at: iso(removal.removed_at),
					positions: [group.position],
					kind: isWhole ? 'cell-exchanged' : 'cell-taken-out',
					out: removal.label,
					into: isWhole ? removal.into_label : null
				}
			];
		}),
		...works.map(({ batteryId, doneAt, what, positions }): BatteryChange => ({
			batteryId,
			at: doneAt,
			kind: what,
			positions: positions ?? [],
			out: null,
			into: null
		}))
	];
}
