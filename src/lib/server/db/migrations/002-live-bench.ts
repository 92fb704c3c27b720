import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const refers = (table: Table, column: string, parent: string) =>
	table.integer(column).unsigned().references('id').inTable(parent);

/** Instruments, live runs with their samples and events, and rehearsals on the simulated bench. */
export async function up(knex: Knex): Promise<void> {
	const create = (name: string, build: (table: Table) => void) => createRecords(knex, name, build);
	for (const table of ['banks', 'cell_types'])
		await knex.schema.alterTable(table, (t) => void t.boolean('rehearsal').notNullable().defaultTo(false));
	await create('instruments', (t) => {
		t.string('name', 80).notNullable();
		t.string('kind', 12).notNullable();
		t.string('host', 120).notNullable();
		t.integer('port').unsigned().notNullable();
		t.integer('unit_id');
		t.boolean('bundled').notNullable().defaultTo(false).comment('of the simulated bench: found anew at each start');
		t.boolean('outside_named').notNullable().defaultTo(false);
		t.double('accuracy_percent').notNullable();
		t.double('accuracy_fixed').notNullable().comment('V, A or Ω, by kind');
		t.double('voltage_offset_v').notNullable().defaultTo(0).comment('what it shows too much');
		t.double('current_gain_percent').notNullable().defaultTo(0).comment('by how much it shows too much');
	});
	await create('live_runs', (t) => {
		refers(t, 'bank_id', 'banks').notNullable();
		refers(t, 'cell_id', 'cells');
		refers(t, 'balance_run_id', 'balance_runs');
		refers(t, 'run_id', 'runs').comment('the capacity run it became');
		t.string('kind', 10).notNullable();
		t.string('state', 10).notNullable().comment('planned, running, waiting, ended');
		t.json('instruments').notNullable();
		t.json('phases').notNullable();
		t.integer('interval_ms').unsigned().notNullable();
		t.integer('dead_man_s').unsigned().notNullable();
		t.double('expected_ah');
		t.double('temperature_c');
		t.datetime('started_at', { precision: 3 });
		t.datetime('ended_at', { precision: 3 });
		t.string('ended_by', 200);
		t.json('progress').notNullable();
		t.index(['state']);
		t.index(['bank_id', 'state']);
	});
	await knex.schema.createTable('live_samples', (t) => {
		t.engine('InnoDB');
		t.integer('live_run_id').unsigned().notNullable().references('id').inTable('live_runs').onDelete('CASCADE');
		t.bigInteger('at_ms').notNullable();
		t.specificType('phase', 'tinyint unsigned').notNullable();
		t.double('voltage_v').comment('as the instrument showed it');
		t.double('current_a').notNullable();
		t.double('cell_v');
		t.double('temperature_c');
		t.json('groups_v');
		t.primary(['live_run_id', 'at_ms']);
	});
	await create('live_events', (t) => {
		refers(t, 'live_run_id', 'live_runs').notNullable();
		t.datetime('happened_at', { precision: 3 }).notNullable().comment('by the instrument’s clock');
		t.string('kind', 16).notNullable();
		t.string('message', 400).notNullable();
		t.boolean('needs_person').notNullable();
		t.datetime('seen_at', { precision: 3 });
	});
	await create('rehearsals', (t) => {
		refers(t, 'bank_id', 'banks').notNullable();
		t.json('scenario').notNullable();
		t.specificType('saved', 'longtext').comment('the bench as it was left');
		t.json('conclusions');
		t.json('judgement');
		t.datetime('revealed_at', { precision: 3 });
	});
}
