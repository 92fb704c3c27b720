import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const ofCell = (t: Table) => t.integer('cell_id').unsigned().notNullable().references('id').inTable('cells');
const moment = (t: Table, name: string) => t.datetime(name, { precision: 3 });

/** What a delivery was promised to be and really brought, how its cells look, what they were promised to hold, and photos of all. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('plan_items', (t) => {
		t.json('price_breaks').comment('from so many pieces on one costs so much');
	});
	await knex.schema.alterTable('deliveries', (t) => {
		for (const name of ['ordered_on', 'promised_on', 'promised_produced_on']) t.datetime(name, { precision: 3 });
		t.decimal('cell_price', 14, 2).comment('of one cell');
		t.decimal('shipping', 14, 2);
		t.string('promised_grade', 40);
		t.string('promised_terminals', 40);
		t.double('promised_ah').comment('by the clause in promised_clause');
		t.string('promised_clause', 12);
		t.double('promised_resistance_mohm');
		t.double('grade_capacity_ah').comment('own line for the grade it was sold as');
		t.double('grade_resistance_mohm');
		t.double('claim_days').comment('days after arrival in which a defect is told; null: the usual');
		t.boolean('used').comment('sold as used');
	});
	await knex.schema.alterTable('runs', (t) => {
		t.double('lead_ohm').comment('of both leads of a two-wire tester');
		t.json('corrections_off').comment('corrections that are not to be made');
	});
	await knex.schema.alterTable('readings', (t) => {
		t.string('probe', 12).comment('of a resistance: how and where the probes sat');
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.string('built_despite', 400).comment('why it is built although something spoke against it');
	});
	await knex.schema.alterTable('cells', (t) => {
		t.index(['code']);
	});
	await createRecords(knex, 'inspections', (t) => {
		ofCell(t);
		moment(t, 'inspected_at').notNullable();
		for (const name of ['dent', 'bulge', 'terminals', 'thread', 'sleeve', 'vent', 'leak', 'smell']) t.string(name, 8);
		t.json('thickness_mm').comment('foot, middle, top; null where it was not taken');
		for (const name of ['terminal_kind', 'sleeve_kind', 'vent_kind']) t.string(name, 12);
		t.string('resolved', 400).comment('why a stop is no longer one');
		t.text('notes');
	});
	await createRecords(knex, 'calibrations', (t) => {
		t.string('quantity', 20).notNullable();
		t.string('meter', 80).comment('null: the meter of the settings');
		moment(t, 'calibrated_on').notNullable();
		t.string('by', 80);
		t.double('truth_sd').notNullable().comment('of the better meter, one sd in the quantity’s unit');
		t.json('pairs').notNullable().comment('shown, truth');
	});
	await createRecords(knex, 'noted_runs', (t) => {
		ofCell(t);
		moment(t, 'started_at').notNullable();
		for (const name of ['current_a', 'power_w']) t.double(name);
		t.double('cutoff_v').notNullable();
		t.json('notes').notNullable().comment('lines read off a display: s since the start, Ah, V');
		t.integer('run_id').unsigned().references('id').inTable('runs');
	});
	await createRecords(knex, 'protocols', (t) => {
		t.string('name', 60).notNullable();
		for (const name of ['charge_v', 'charge_c_rate', 'tail_c_rate', 'rest_h', 'discharge_c_rate', 'cutoff_v'])
			t.double(name);
	});
	await createRecords(knex, 'storage_tests', (t) => {
		ofCell(t);
		moment(t, 'charged_at').notNullable();
		moment(t, 'due_on').notNullable();
		for (const name of ['refill_ah', 'refill_sd_ah']) t.double(name);
		moment(t, 'refilled_at');
		t.text('notes');
	});
	await createRecords(knex, 'clauses', (t) => {
		t.integer('cell_type_id').unsigned().notNullable().references('id').inTable('cell_types');
		t.string('kind', 12).notNullable();
		t.double('capacity_ah').notNullable();
		for (const name of ['charge_v', 'tail_c_rate', 'rest_h', 'discharge_c_rate', 'cutoff_v', 'temperature_c'])
			t.double(name);
		t.string('source', 200);
	});
	await knex.schema.createTable('attachment_files', (t) => {
		t.engine('InnoDB');
		t.charset('utf8mb4');
		t.specificType('hash', 'char(64) character set ascii').primary().comment('SHA-256 of its bytes');
		t.string('mime', 80).notNullable();
		t.integer('bytes').unsigned().notNullable();
		t.integer('width').unsigned();
		t.integer('height').unsigned();
		t.specificType('thumbnail', 'mediumblob');
	});
	await knex.schema.createTable('attachment_chunks', (t) => {
		t.engine('InnoDB');
		t.specificType('hash', 'char(64) character set ascii').notNullable();
		t.integer('n').unsigned().notNullable();
		t.specificType('bytes', 'mediumblob').notNullable();
		t.primary(['hash', 'n']);
		t.foreign('hash').references('hash').inTable('attachment_files').onDelete('CASCADE');
	});
	await createRecords(knex, 'attachments', (t) => {
		t.string('subject_kind', 16).notNullable();
		t.string('subject_id', 40).notNullable();
		t.specificType('hash', 'char(64) character set ascii').notNullable();
		t.foreign('hash').references('hash').inTable('attachment_files');
		t.string('name', 160).notNullable();
		t.string('about', 200);
		moment(t, 'taken_at').notNullable();
		t.index(['subject_kind', 'subject_id']);
	});
}
