import { group } from 'd3-array';
import type { TestedLot } from '$lib/core/picture';
import { database } from '../db/connection';
import type { Bank } from '../records';

/** More lots, and more cells of each, say no more of a type: the latest lots count. */
const MAX_LOTS = 8;
const RUNS_OF_A_LOT = 40;
/** Colder or warmer, or long after it came, a figure tells of something else than the lot (default). */
const ROOM_C = { from: 18, to: 30 };
const NEW_DAYS = 365;

/** Asked lot by lot, the latest first: the database would gather the runs of every lot instead, were it free to choose. */
const LOTS = `
	select d.id from deliveries d force index (primary) straight_join banks b on b.id = d.bank_id
	where b.cell_type_id = :type and b.rehearsal = false and b.id <> :bank and d.id not in (:own)
		and coalesce(d.used, 0) = 0 and d.deleted_at is null and b.deleted_at is null
		and (
			select r.id from cells c straight_join runs r force index (runs_cell_id_tested_at_index) on r.cell_id = c.id
			where c.delivery_id = d.id and c.deleted_at is null and r.deleted_at is null limit 1) is not null
	order by d.id desc limit ${MAX_LOTS}`;

/** The first runs of the first cells of one lot. */
const FIRST_RUNS = `(
	select c.delivery_id as lot, r.tester, r.capacity_ah as capacityAh
	from deliveries d straight_join cells c on c.delivery_id = d.id
	straight_join runs r force index (runs_cell_id_tested_at_index) on r.cell_id = c.id
	where d.id = ? and c.deleted_at is null and r.deleted_at is null and r.held_at_c is null
		and r.capacity_ah > 0 and (r.temperature_c is null or r.temperature_c between ${ROOM_C.from} and ${ROOM_C.to})
		and r.tested_at < date_add(d.received_on, interval ${NEW_DAYS} day)
		and (
			select f.id from runs f force index (runs_cell_id_tested_at_index)
			where f.cell_id = r.cell_id and f.id < r.id and f.deleted_at is null and f.held_at_c is null limit 1) is null
	order by c.id limit ${RUNS_OF_A_LOT})`;

/**
 * The latest lots of the cell type of a bank that came new for other banks: the first run of each cell, at room temperature and soon after it
 * came, by delivery and tester. Rehearsals tell nothing. @param ownDeliveries with cells in play in this bank: they are its own lots
 */
export async function earlierLots(bank: Bank, ownDeliveries: readonly number[]): Promise<TestedLot[]> {
	if (bank.cellTypeId === null || bank.rehearsal) return [];
	const db = database();
	const [found] = (await db.raw(LOTS, {
		type: bank.cellTypeId,
		bank: bank.id,
		own: ownDeliveries.length ? [...ownDeliveries] : [0]
	} as never)) as [{ id: number }[]];
	const lots = found.map((d) => d.id);
	if (lots.length === 0) return [];
	const [rows] = (await db.raw(lots.map(() => FIRST_RUNS).join(' union all '), lots)) as [
		{ lot: number; tester: string | null; capacityAh: number }[]
	];
	return [...group(rows, (row) => `${row.lot} ${row.tester ?? ''}`).values()].map((own) => ({
		tester: own[0]!.tester,
		capacitiesAh: own.map((row) => row.capacityAh)
	}));
}
