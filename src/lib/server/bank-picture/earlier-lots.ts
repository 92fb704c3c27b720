import { group } from 'd3-array';
import type { TestedLot } from '$lib/core/capacity-run';
import { database } from '../db/connection';
import type { Bank } from '../records';

/** More runs than that say no more of a type. */
const MOST_RUNS = 4000;

/**
 * Lots of the cell type of a bank that came for other banks: the latest run of each cell, by delivery and tester. Rehearsals tell
 * nothing. @param ownDeliveries with cells in play in this bank: they are its own lots
 */
export async function earlierLots(bank: Bank, ownDeliveries: readonly number[]): Promise<TestedLot[]> {
	if (bank.cellTypeId === null || bank.rehearsal) return [];
	const rows = (await database()('runs as r')
		.join('cells as c', 'c.id', 'r.cell_id')
		.join('deliveries as d', 'd.id', 'c.delivery_id')
		.join('banks as b', 'b.id', 'd.bank_id')
		.where({ 'b.cell_type_id': bank.cellTypeId, 'b.rehearsal': false })
		.whereNot('b.id', bank.id)
		.whereNotIn('d.id', ownDeliveries)
		.where('r.capacity_ah', '>', 0)
		.whereNull('r.deleted_at')
		.whereNull('c.deleted_at')
		.whereNull('d.deleted_at')
		.whereNull('b.deleted_at')
		.whereNotExists(
			database()('runs as later').whereRaw('later.cell_id = r.cell_id and later.id > r.id and later.deleted_at is null')
		)
		.orderBy('r.id', 'desc')
		.limit(MOST_RUNS)
		.select('c.delivery_id as lot', 'r.tester', 'r.capacity_ah as capacityAh')) as {
		lot: number;
		tester: string | null;
		capacityAh: number;
	}[];
	return [...group(rows, (row) => `${row.lot} ${row.tester ?? ''}`).values()].map((own) => ({
		tester: own[0]!.tester,
		capacitiesAh: own.map((row) => row.capacityAh)
	}));
}
