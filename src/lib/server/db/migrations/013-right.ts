import type { Knex } from 'knex';
import { createRecords } from './records';

/** What is felt of a cell by hand; what was moved, opened or changed in a built battery. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('inspections', (t) => {
		t.string('heat', 8).comment('good: as warm as the others; bad: hotter');
	});
	await knex.schema.alterTable('balance_readings', (t) => {
		t.boolean('counter_anew').comment('began at 0 since the count before; null: nobody said');
	});
	await knex.schema.alterTable('calibrations', (t) => {
		t.integer('bank_id').unsigned().references('id').inTable('banks').comment('of a rehearsal: its bench alone');
	});
	await knex.schema.alterTable('balance_runs', (t) => {
		t.string('set_v_reason', 400).comment('why it is set above what meter and supply leave to the limit');
		t.double('hours_a_day').comment('its supply is on only so long; null: day and night');
	});
	await knex.schema.alterTable('runs', (t) => {
		t.integer('instrument_id')
			.unsigned()
			.references('id')
			.inTable('instruments')
			.comment('load of a live run; its count is stored as shown');
	});
	await knex.schema.alterTable('cells', (t) => {
		t.string('printed_month', 7).comment('year and month printed on it, 2024-05');
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.integer('bms_least_cells').unsigned().comment('in series, by its sheet');
		t.integer('bms_most_cells').unsigned().comment('in series, by its sheet');
		t.date('new_on').comment('in use since; null: since its bank is');
	});
	await knex.schema.alterTable('plans', (t) => {
		t.double('supply_hours_a_day').comment('its supplies are on only so long; null: day and night');
	});
	await createRecords(knex, 'battery_works', (t) => {
		t.integer('battery_id').unsigned().notNullable().references('id').inTable('batteries').index();
		t.datetime('done_at', { precision: 3 }).notNullable();
		t.string('what', 16).notNullable();
		t.json('positions').comment('leads or joints, 0 to S; null: all');
		t.string('notes', 4000);
	});
}
