import { group } from 'd3-array';
import type { TestedLot } from '$lib/core/capacity-run';
import { database } from '../db/connection';
import type { Bank } from '../records';

/** More lots, and more runs of them, say no more of a type: the latest count. */
const MOST_LOTS = 12;
const MOST_RUNS = 1500;
/** Colder or warmer, or long after it came, a figure tells of something else than the lot (default). */
const ROOM_C = { from: 18, to: 30 };
const NEW_DAYS = 365;

/**
 * The latest lots of the cell type of a bank that came new for other banks: the first run of each cell, at room temperature and soon after it
 * came, by delivery and tester. Rehearsals tell nothing. @param ownDeliveries with cells in play in this bank: they are its own lots
 */
export async function earlierLots(bank: Bank, ownDeliveries: readonly number[]): Promise<TestedLot[]> {
	if (bank.cellTypeId === null || bank.rehearsal) return [];
	const db = database();
	const lots = (await db('deliveries as d')
		.join('banks as b', 'b.id', 'd.bank_id')
		.where({ 'b.cell_type_id': bank.cellTypeId, 'b.rehearsal': false })
		.whereNot('b.id', bank.id)
		.whereNotIn('d.id', ownDeliveries)
		.whereRaw('coalesce(d.used, 0) = 0')
		.whereNull('d.deleted_at')
		.whereNull('b.deleted_at')
		.whereExists(
			db('cells as any_cell')
				.join('runs as any_run', 'any_run.cell_id', 'any_cell.id')
				.whereRaw('any_cell.delivery_id = d.id and any_cell.deleted_at is null and any_run.deleted_at is null')
		)
		.orderBy('d.id', 'desc')
		.limit(MOST_LOTS)
		.pluck('d.id')) as number[];
	if (lots.length === 0) return [];
	const rows = (await db('runs as r')
		.join('cells as c', 'c.id', 'r.cell_id')
		.join('deliveries as d', 'd.id', 'c.delivery_id')
		.whereIn('d.id', lots)
		.where('r.capacity_ah', '>', 0)
		.whereNull('r.held_at_c')
		.whereRaw('(r.temperature_c is null or r.temperature_c between ? and ?)', [ROOM_C.from, ROOM_C.to])
		.whereRaw('r.tested_at < date_add(d.received_on, interval ? day)', [NEW_DAYS])
		.whereNull('r.deleted_at')
		.whereNull('c.deleted_at')
		.whereNotExists(
			db('runs as before').whereRaw(
				'before.cell_id = r.cell_id and before.id < r.id and before.deleted_at is null and before.held_at_c is null'
			)
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
