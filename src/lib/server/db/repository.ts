import type { Knex } from 'knex';
import { ServiceError, notFound, stale } from '../errors';
import { InputError } from '$lib/input/validate';
import { columnOf, fieldOf, fromColumns, toColumns } from './case';
import { database } from './connection';
import { shared } from './read-once';

/** What every stored record carries. */
export interface Recorded {
	id: number;
	version: number;
	createdAt: string;
	updatedAt: string;
	deletedAt: string | null;
}

export interface Page<Row> {
	items: Row[];
	page: number;
	size: number;
	total: number;
}

export type Filter = Record<string, string | number | boolean | readonly number[] | null>;

export interface Repository<Row extends Recorded> {
	/** Word for one record in messages. */
	readonly what: string;
	readonly table: string;
	list(filter: Filter, page: { page: number; size: number }): Promise<Page<Row>>;
	all(filter: Filter, tx?: Knex): Promise<Row[]>;
	get(id: number, tx?: Knex): Promise<Row>;
	/** The record even when it was taken out; null when there never was one. */
	find(id: number, tx?: Knex): Promise<Row | null>;
	/** As get, and nobody else changes or removes it before this transaction ends. @param how `update` keeps others from holding it too */
	hold(id: number, tx: Knex, how: 'share' | 'update'): Promise<Row>;
	insert(fields: object, tx?: Knex): Promise<Row>;
	insertMany(rows: readonly object[], tx?: Knex): Promise<void>;
	/** @throws ServiceError 409 when `version` is not the stored one */
	update(id: number, version: number, fields: object, tx?: Knex): Promise<Row>;
	/** Changes every record of a filter in one statement. */
	updateAll(filter: Filter, fields: object, tx?: Knex): Promise<void>;
	remove(id: number, version: number, tx?: Knex): Promise<void>;
	/** Records that were taken out, the latest first, at most so many. */
	removed(most: number): Promise<Row[]>;
	/** Undoes a removal; a record that was not removed stays as it is. */
	restore(id: number, tx?: Knex): Promise<Row>;
}

const DATE_FIELD = /(At|On)$/;
const INSERT_CHUNK = 2000;

/** ISO text becomes a Date, so that the driver stores UTC. */
function withDates(fields: object): Record<string, unknown> {
	return Object.fromEntries(
		Object.entries(fields).map(([name, value]) => [
			name,
			DATE_FIELD.test(name) && typeof value === 'string' ? new Date(value) : value
		])
	);
}

function filtered(query: Knex.QueryBuilder, filter: Filter): Knex.QueryBuilder {
	for (const [field, value] of Object.entries(filter)) {
		const column = columnOf(field);
		if (Array.isArray(value)) query.whereIn(column, value);
		else if (value === null) query.whereNull(column);
		else query.where(column, value as string | number | boolean);
	}
	return query.whereNull('deleted_at');
}

const REFUSALS: Record<string, (what: string) => ServiceError> = {
	ER_DUP_ENTRY: (what) =>
		new ServiceError(409, 'already-there', `There is such a ${what} already. Nothing was changed; reload to see it.`),
	ER_NO_REFERENCED_ROW_2: (what) =>
		new ServiceError(422, 'unknown-parent', `This ${what} belongs to something that is not there.`),
	ER_CONSTRAINT_FAILED: (what) =>
		new ServiceError(422, 'incomplete', `This ${what} lacks a part of what belongs together.`),
	ER_DATA_TOO_LONG: (what) => new ServiceError(422, 'too-long', `This ${what} holds a text that is too long.`),
	ER_WARN_DATA_OUT_OF_RANGE: (what) =>
		new ServiceError(422, 'out-of-range', `This ${what} holds a number that cannot be kept.`)
};

/** What the database itself does not accept, as a refusal. */
async function accepted<T>(what: string, write: PromiseLike<T>): Promise<T> {
	try {
		return await write;
	} catch (error) {
		const { code = '', sqlMessage = '' } = error as { code?: string; sqlMessage?: string };
		if (code === 'ER_BAD_NULL_ERROR') {
			const path = fieldOf(/Column '(\w+)'/.exec(sqlMessage)?.[1] ?? '');
			throw new InputError([
				{ path, message: `${path} of a ${what} cannot be empty: leave it out, or give it a value` }
			]);
		}
		const refusal = REFUSALS[code];
		throw refusal ? refusal(what) : error;
	}
}

interface RepositoryOptions {
	/** Fields kept as JSON. */
	json?: readonly string[];
	/** A view that shows more of a record than its table holds. */
	view?: string;
}

/** What is made of a record when it is read, and how it is stored; missing: as it is. */
interface Reshaped<Row> {
	whenRead?(row: Row): Row;
	asStored?(fields: object): object;
}

/**
 * One table of records. Names are mapped between camelCase and snake_case here and nowhere else.
 * @param order field to list by
 */
export function createRepository<Row extends Recorded>(
	table: string,
	what: string,
	order: string,
	{ json = [], view = table, whenRead, asStored = (fields) => fields }: RepositoryOptions & Reshaped<Row> = {}
): Repository<Row> {
	const read = (row: Record<string, unknown>) => {
		const record = fromColumns<Row>(row, json);
		return whenRead ? whenRead(record) : record;
	};
	const columns = (fields: object) => toColumns(withDates(asStored(fields)));
	const ordered = (query: Knex.QueryBuilder) =>
		order === 'id' ? query.orderBy('id') : query.orderBy(columnOf(order)).orderBy('id');
	async function one(db: Knex, id: number): Promise<Row> {
		const row = await db(view).where({ id }).whereNull('deleted_at').first();
		if (!row) throw notFound(what, id);
		return read(row);
	}
	const repository: Repository<Row> = {
		what,
		table,
		async list(filter, { page, size }) {
			const [{ total }] = await filtered(database()(view), filter).count({ total: '*' });
			const rows = await ordered(filtered(database()(view), filter))
				.limit(size)
				.offset((page - 1) * size);
			return { items: rows.map(read), page, size, total: Number(total) };
		},
		async all(filter, tx) {
			const rows = async (db: Knex) => (await ordered(filtered(db(view), filter))).map(read);
			if (tx) return rows(tx);
			// Each gets a list of its own: it may be sorted.
			return [...(await shared(`${table} ${JSON.stringify(filter)}`, () => rows(database())))];
		},
		get: (id, tx) => (tx ? one(tx, id) : shared(`${table} ${id}`, () => one(database(), id))),
		async find(id, tx = database()) {
			const row = await tx(view).where({ id }).first();
			return row ? read(row) : null;
		},
		async hold(id, tx, how) {
			const query = tx(table).where({ id }).whereNull('deleted_at').select('id');
			const [held] = await (how === 'share' ? query.forShare() : query.forUpdate());
			if (!held) throw notFound(what, id);
			return one(tx, id);
		},
		async insert(fields, tx = database()) {
			const now = new Date();
			const [id] = await accepted(what, tx(table).insert({ ...columns(fields), created_at: now, updated_at: now }));
			return one(tx, id!);
		},
		async insertMany(rows, tx = database()) {
			const now = new Date();
			const stamped = rows.map((fields) => ({ ...columns(fields), created_at: now, updated_at: now }));
			for (let i = 0; i < stamped.length; i += INSERT_CHUNK)
				await accepted(what, tx(table).insert(stamped.slice(i, i + INSERT_CHUNK)));
		},
		async update(id, version, fields, tx = database()) {
			await one(tx, id);
			const changed = await accepted(
				what,
				tx(table)
					.where({ id, version })
					.whereNull('deleted_at')
					.update({ ...columns(fields), version: version + 1, updated_at: new Date() })
			);
			if (changed === 0) throw stale(what);
			return one(tx, id);
		},
		async updateAll(filter, fields, tx = database()) {
			await accepted(
				what,
				filtered(tx(table), filter).update({
					...columns(fields),
					version: tx.raw('version + 1'),
					updated_at: new Date()
				})
			);
		},
		async remove(id, version, tx = database()) {
			await one(tx, id);
			const now = new Date();
			const changed = await tx(table)
				.where({ id, version })
				.whereNull('deleted_at')
				.update({ deleted_at: now, updated_at: now, version: version + 1 });
			if (changed === 0) throw stale(what);
		},
		async removed(most) {
			const rows = await database()(view).whereNotNull('deleted_at').orderBy('deleted_at', 'desc').limit(most);
			return rows.map(read);
		},
		async restore(id, tx = database()) {
			await accepted(
				what,
				tx(table)
					.where({ id })
					.whereNotNull('deleted_at')
					.update({ deleted_at: null, updated_at: new Date(), version: tx.raw('version + 1') })
			);
			return one(tx, id);
		}
	};
	return repository;
}
