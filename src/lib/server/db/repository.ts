import type { Knex } from 'knex';
import { notFound, stale } from '../errors';
import { columnOf, fromColumns, toColumns } from './case';
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

export type Filter = Record<string, string | number | readonly number[] | null>;

export interface Repository<Row extends Recorded> {
	/** Word for one record in messages. */
	readonly what: string;
	list(filter: Filter, page: { page: number; size: number }): Promise<Page<Row>>;
	all(filter: Filter, tx?: Knex): Promise<Row[]>;
	get(id: number, tx?: Knex): Promise<Row>;
	insert(fields: object, tx?: Knex): Promise<Row>;
	insertMany(rows: readonly object[], tx?: Knex): Promise<void>;
	/** @throws ServiceError 409 when `version` is not the stored one */
	update(id: number, version: number, fields: object, tx?: Knex): Promise<Row>;
	remove(id: number, version: number, tx?: Knex): Promise<void>;
	/** Undoes a removal. */
	restore(id: number): Promise<Row>;
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
		else query.where(column, value as string | number);
	}
	return query.whereNull('deleted_at');
}

/**
 * One table of records. Names are mapped between camelCase and snake_case here and nowhere else.
 * @param order field to list by; @param jsonFields fields kept as JSON
 */
export function createRepository<Row extends Recorded>(
	table: string,
	what: string,
	order: string,
	jsonFields: readonly string[] = []
): Repository<Row> {
	const read = (row: Record<string, unknown>) => fromColumns<Row>(row, jsonFields);
	const repository: Repository<Row> = {
		what,
		async list(filter, { page, size }) {
			const [{ total }] = await filtered(database()(table), filter).count({ total: '*' });
			const rows = await filtered(database()(table), filter)
				.orderBy(columnOf(order))
				.orderBy('id')
				.limit(size)
				.offset((page - 1) * size);
			return { items: rows.map(read), page, size, total: Number(total) };
		},
		async all(filter, tx) {
			const rows = async (db: Knex) =>
				(await filtered(db(table), filter).orderBy(columnOf(order)).orderBy('id')).map(read);
			if (tx) return rows(tx);
			// Each gets a list of its own: it may be sorted.
			return [...(await shared(`${table} ${JSON.stringify(filter)}`, () => rows(database())))];
		},
		async get(id, tx) {
			const one = async (db: Knex) => {
				const row = await db(table).where({ id }).whereNull('deleted_at').first();
				if (!row) throw notFound(what, id);
				return read(row);
			};
			return tx ? one(tx) : shared(`${table} ${id}`, () => one(database()));
		},
		async insert(fields, tx = database()) {
			const now = new Date();
			const [id] = await tx(table).insert({ ...toColumns(withDates(fields)), created_at: now, updated_at: now });
			return repository.get(id, tx);
		},
		async insertMany(rows, tx = database()) {
			const now = new Date();
			const stamped = rows.map((fields) => ({ ...toColumns(withDates(fields)), created_at: now, updated_at: now }));
			for (let i = 0; i < stamped.length; i += INSERT_CHUNK) await tx(table).insert(stamped.slice(i, i + INSERT_CHUNK));
		},
		async update(id, version, fields, tx = database()) {
			await repository.get(id, tx);
			const changed = await tx(table)
				.where({ id, version })
				.whereNull('deleted_at')
				.update({ ...toColumns(withDates(fields)), version: version + 1, updated_at: new Date() });
			if (changed === 0) throw stale(what);
			return repository.get(id, tx);
		},
		async remove(id, version, tx = database()) {
			await repository.get(id, tx);
			const now = new Date();
			const changed = await tx(table)
				.where({ id, version })
				.whereNull('deleted_at')
				.update({ deleted_at: now, updated_at: now, version: version + 1 });
			if (changed === 0) throw stale(what);
		},
		async restore(id) {
			await database()(table)
				.where({ id })
				.update({ deleted_at: null, updated_at: new Date(), version: database().raw('version + 1') });
			return repository.get(id);
		}
	};
	return repository;
}
