import type { Knex } from 'knex';
import { createRecords } from './records';

/** Balances by any method: what was done with which cell, step by step; when somebody is wanted again. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('noted_runs', (t) => {
		t.datetime('look_again_at', { precision: 3 }).comment('when somebody should read it again');
		t.boolean('started_full').comment('charged to its tail before; null: nobody knows');
		t.double('rest_s').comment('between that charge and its start');
	});
	await knex.schema.alterTable('balance_readings', (t) => {
		t.boolean('stopped').comment('the charger has stopped by itself: its light, its timer');
	});
	await createRecords(knex, 'method_runs', (t) => {
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks');
		t.string('method', 12).notNullable();
		t.json('cell_ids').comment('in the order they are taken in');
		t.json('setup').notNullable();
		t.datetime('ended_at', { precision: 3 });
	});
	await createRecords(knex, 'method_entries', (t) => {
		t.integer('method_run_id').unsigned().notNullable().references('id').inTable('method_runs');
		t.integer('cell_id').unsigned().references('id').inTable('cells');
		t.string('unit', 40).comment('of a ready-made battery: what it is called');
		t.string('step', 20).notNullable();
		t.datetime('done_at', { precision: 3 }).notNullable();
		for (const name of ['voltage_v', 'current_a', 'ah', 'wh', 'hours']) t.double(name);
		t.json('volts').comment('one a group, position 1 first');
		t.boolean('asked').comment('somebody was asked and said yes');
		t.string('words', 400);
	});
}
