import type { Knex } from 'knex';
import { database } from '../db/connection';
import { holding } from '../db/like';
import { inTransaction } from '../db/transaction';
import { latestReadings } from '../bank-picture/latest-readings';
import { InputError } from '$lib/input/validate';
import type { PickCellsInput } from '$lib/input/compute';
import { banks, candidates, type Candidate } from '../records';
import { recordKind } from '../records/registry';
import { createRecord } from '../records/write';
import { cellWarnings, type CellWarning } from '../judgements/cell-warnings';

/** A cell of the stock: what it is, where it is or was, and what was read last. */
export interface StockCell {
	id: number;
	label: string;
	batch: string | null;
	deliveryId: number;
	deliveryName: string;
	receivedOn: string;
	restVoltageV: number | null;
	acResistanceMohm: number | null;
	capacityAh: number | null;
	/** The bank it sits in now; null while it is loose. */
	inBank: { id: number; name: string; battery: number; position: number } | null;
	/** Banks it sat in before, and those that consider it. */
	wasIn: string[];
	consideredFor: { id: number; name: string }[];
	/** What the bank it is in or considered for says of it that wants a look. */
	warning: CellWarning | null;
}

export interface Stock {
	cells: StockCell[];
	/** Cells in all, those found, and the page shown. */
	total: number;
	found: number;
	page: number;
	pages: number;
	filter: StockFilter;
	/** Banks a cell can be picked for. */
	banks: { id: number; name: string }[];
	/** Banks that are being judged again: what is shown of their cells was said before. */
	beingJudged: number;
}

export const STOCK_PLACES = ['all', 'loose', 'placed'] as const;
export interface StockFilter {
	search: string;
	place: (typeof STOCK_PLACES)[number];
}

const PAGE = 60;
const MAX_SEARCH = 60;

interface StockRow {
	id: number;
	label: string;
	batch: string | null;
	delivery_id: number;
	delivery_name: string;
	received_on: Date;
	bank_id: number | null;
	bank_name: string | null;
	battery: number | null;
	position: number | null;
}

function filterOf(query: URLSearchParams): StockFilter & { page: number } {
	const place = STOCK_PLACES.find((p) => p === query.get('place')) ?? 'all';
	const search = (query.get('q') ?? '').trim().slice(0, MAX_SEARCH).toWellFormed();
	return { search, place, page: Math.max(1, Math.min(100_000, Math.floor(Number(query.get('page') ?? 1)) || 1)) };
}

/** What of the search is few: deliveries and banks whose names hold it; null without a search. */
async function namedLike(search: string): Promise<{ deliveries: number[]; banks: number[] } | null> {
	if (!search) return null;
	const db = database();
	// As the tiles say it: "for Heronry".
	const wanted = search.replace(/^for\s+/i, '');
	const [ofDeliveries, ofBanks] = await Promise.all([
		db('deliveries').where('name', 'like', holding(search)).whereNull('deleted_at').pluck('id'),
		db('banks').where('name', 'like', holding(wanted)).pluck('id')
	]);
	return { deliveries: ofDeliveries as number[], banks: ofBanks as number[] };
}

/** Cells of one's own, simulated ones left out, by delivery and tray position. */
async function stockQuery({ search, place }: StockFilter): Promise<() => Knex.QueryBuilder> {
	const named = await namedLike(search);
	return () => {
		const db = database();
		const query = db('cells as c')
			.join('deliveries as d', 'd.id', 'c.delivery_id')
			.where({ 'd.rehearsal': false })
			.whereNull('c.deleted_at')
			.whereNull('d.deleted_at');
		const placed = () => db('placements as p').whereRaw('p.open_cell_id = c.id').select(db.raw('1'));
		if (place === 'loose') query.whereNotExists(placed());
		if (place === 'placed') query.whereExists(placed());
		if (named)
			query.where((q) => {
				for (const column of ['c.label', 'c.batch', 'c.code']) q.orWhere(column, 'like', holding(search));
				if (named.deliveries.length) q.orWhereIn('c.delivery_id', named.deliveries);
				if (named.banks.length) q.orWhereIn('c.id', cellsOfBanks(named.banks));
			});
		return query;
	};
}

/** Cells that sit in some banks, or are considered for those of them that are not put away. */
const cellsOfBanks = (bankIds: readonly number[]) =>
	database()('placed')
		.whereIn('bank_id', [...bankIds])
		.whereNull('removed_at')
		.whereNull('deleted_at')
		.select('cell_id')
		.union((u) =>
			u
				.from('candidates as k')
				.join('banks as f', 'f.id', 'k.bank_id')
				.whereIn('k.bank_id', [...bankIds])
				.whereNull('k.deleted_at')
				.whereNull('f.deleted_at')
				.select('k.cell_id')
		);

const counted = async (query: Knex.QueryBuilder): Promise<number> =>
	Number(((await query.count({ n: '*' })) as [{ n: number }])[0].n);

const groupedBy = <Row extends { cell_id: number }, T>(rows: readonly Row[], of: (row: Row) => T) => {
	const byCell = new Map<number, T[]>();
	for (const row of rows) byCell.set(row.cell_id, [...(byCell.get(row.cell_id) ?? []), of(row)]);
	return byCell;
};

interface NamedBank {
	cell_id: number;
	id: number;
	name: string;
}

/** What hangs on some cells: banks they were in, banks that consider them, their latest capacity. */
async function aboutCells(ids: readonly number[]) {
	if (ids.length === 0) return { were: new Map(), wished: new Map(), capacity: new Map<number, number>() };
	const db = database();
	const were = (await db('placed as w')
		.join('banks as b', 'b.id', 'w.bank_id')
		.whereIn('w.cell_id', [...ids])
		.whereNotNull('w.removed_at')
		.whereNull('w.deleted_at')
		.distinct('w.cell_id', 'b.id', 'b.name')) as NamedBank[];
	const wished = (await db('candidates as k')
		.join('banks as b', 'b.id', 'k.bank_id')
		.whereIn('k.cell_id', [...ids])
		.whereNull('k.deleted_at')
		.whereNull('b.deleted_at')
		.select('k.cell_id', 'b.id', 'b.name')) as NamedBank[];
	const runs = (await db('runs')
		.whereIn('cell_id', [...ids])
		.whereNull('deleted_at')
		.whereNull('held_at_c')
		.orderBy('tested_at')
		.select('cell_id', 'capacity_ah')) as { cell_id: number; capacity_ah: number }[];
	return {
		were: groupedBy(were, (r) => r.name),
		wished: groupedBy(wished, ({ id, name }) => ({ id, name })),
		capacity: new Map(runs.map((r) => [r.cell_id, r.capacity_ah]))
	};
}

/** A page of the stock: every cell, where it is or was. @param query `q`, `place` (all, loose, placed), `page` @param patienceMs how long judging may hold it up */
export async function stockPage(query: URLSearchParams, patienceMs?: number): Promise<Stock> {
	const { page, ...filter } = filterOf(query);
	const [cells, every] = await Promise.all([stockQuery(filter), stockQuery({ search: '', place: 'all' })]);
	const [rows, total, found, own] = await Promise.all([
		cells()
			.leftJoin('placements as p', 'p.open_cell_id', 'c.id')
			.leftJoin('placed as w', 'w.id', 'p.id')
			.leftJoin('banks as b', 'b.id', 'w.bank_id')
			.orderBy([{ column: 'd.received_on', order: 'desc' }, 'd.id', 'c.position', 'c.id'])
			.limit(PAGE)
			.offset((page - 1) * PAGE)
			.select('c.id', 'c.label', 'c.batch', 'c.delivery_id', 'd.name as delivery_name', 'd.received_on')
			.select('w.bank_id', 'b.name as bank_name', 'w.battery', 'w.position') as unknown as Promise<StockRow[]>,
		counted(every()),
		counted(cells()),
		banks.all({ rehearsal: false })
	]);
	const ids = rows.map((r) => r.id);
	const [latest, about] = await Promise.all([latestReadings(ids), aboutCells(ids)]);
	const considering = [...about.wished.values()].flat().map((b: { id: number }) => b.id);
	// A bank that was put away judges nothing, and its cells still lie in it.
	const live = new Set(own.map((b) => b.id));
	const asked = [...rows.flatMap((r) => r.bank_id ?? []), ...considering].filter((id) => live.has(id));
	const { warnings, beingJudged } = await cellWarnings(asked, patienceMs);
	return {
		cells: rows.map((row) => ({
			id: row.id,
			label: row.label,
			batch: row.batch,
			deliveryId: row.delivery_id,
			deliveryName: row.delivery_name,
			receivedOn: row.received_on.toISOString(),
			restVoltageV: latest.get(row.id)?.restVoltage?.value ?? null,
			acResistanceMohm: latest.get(row.id)?.acResistance?.value ?? null,
			capacityAh: about.capacity.get(row.id) ?? null,
			inBank:
				row.bank_id === null
					? null
					: { id: row.bank_id, name: row.bank_name!, battery: row.battery!, position: row.position! },
			wasIn: about.were.get(row.id) ?? [],
			consideredFor: about.wished.get(row.id) ?? [],
			warning: warnings.get(row.id) ?? null
		})),
		total,
		found,
		page,
		pages: Math.max(1, Math.ceil(found / PAGE)),
		filter,
		banks: own.map(({ id, name }) => ({ id, name })),
		beingJudged: beingJudged.length
	};
}

/** Cells become candidates of a bank; those that are already stay as they are. @returns the bank's candidates among them */
export async function pickCells(bankId: number, { cellIds }: PickCellsInput): Promise<Candidate[]> {
	const wanted = [...new Set(cellIds)].sort((a, b) => a - b);
	return inTransaction(async (tx) => {
		await banks.hold(bankId, tx, 'update');
		const known = new Set((await candidates.all({ bankId, cellId: wanted }, tx)).map((c) => c.cellId));
		for (const [i, cellId] of wanted.entries()) {
			if (known.has(cellId)) continue;
			await createRecord(recordKind('candidates'), { bankId, cellId }, tx).catch((error: unknown) => {
				throw error instanceof InputError
					? new InputError(error.faults.map((f) => ({ ...f, path: f.path === 'cellId' ? `cellIds.${i}` : f.path })))
					: error;
			});
		}
		return candidates.all({ bankId, cellId: wanted }, tx);
	});
}
