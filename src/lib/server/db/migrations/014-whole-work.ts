import type { Knex } from 'knex';

export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('live_runs', (t) => {
		t.string('chemistry', 8).comment('of its bank when it was planned; null: planned before this was kept');
	});
}
