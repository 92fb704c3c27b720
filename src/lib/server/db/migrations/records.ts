import type { Knex } from 'knex';

export type Table = Knex.CreateTableBuilder;

/** Columns every recorded fact has: when it was made and changed, its version for two tabs, and its soft delete. */
function recorded(table: Table): void {
	table.integer('version').unsigned().notNullable().defaultTo(1);
	table.datetime('created_at', { precision: 3 }).notNullable();
	table.datetime('updated_at', { precision: 3 }).notNullable();
	table.datetime('deleted_at', { precision: 3 }).nullable();
}

/** Makes a table of records: an id, its own columns, and those every record has. What is built here never changes. */
export const createRecords = (knex: Knex, name: string, build: (table: Table) => void): Promise<void> =>
	knex.schema.createTable(name, (table) => {
		table.engine('InnoDB');
		table.charset('utf8mb4');
		table.increments('id');
		build(table);
		recorded(table);
	});
