import type { Knex } from 'knex';

/** Whether a cell's plus is on the other side than it is printed, as somebody measured and wrote down. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('cells', (t) => {
		t.boolean('plus_turned').notNullable().defaultTo(false);
	});
}
