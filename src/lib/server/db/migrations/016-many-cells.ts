import type { Knex } from 'knex';

/** Thousands of cells: a search reads one index, and what is said of single cells is kept apart from all the rest of a bank. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('cells', (t) => {
		t.index(['deleted_at', 'delivery_id', 'label', 'batch', 'code'], 'search');
	});
	await knex.schema.alterTable('bank_judgements', (t) => {
		t.specificType('cell_warnings', 'mediumtext').nullable().comment('JSON; null: judged before this was kept');
	});
}
