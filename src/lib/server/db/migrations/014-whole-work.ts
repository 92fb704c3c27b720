import type { Knex } from 'knex';

export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('live_runs', (t) => {
		t.string('chemistry', 8).comment('of its bank when it was planned; null: planned before this was kept');
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.integer('rows').unsigned().comment('rows its groups lie in; null: as they fit');
		t.boolean('square_blocks').comment('the cells of a group lie two deep');
		t.string('outputs_at', 12).comment('corner at which battery negative leaves, front-left');
	});
}
