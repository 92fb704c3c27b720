import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const belongsTo = (table: Table, column: string, parent: string) =>
	table.integer(column).unsigned().notNullable().references('id').inTable(parent);

export async function up(knex: Knex): Promise<void> {
	const create = (name: string, build: (table: Table) => void) => createRecords(knex, name, build);
	await create('cell_types', (t) => {
		t.string('name', 80).notNullable();
		t.string('maker', 80);
		t.string('chemistry', 8).notNullable();
		t.double('rated_ah').notNullable();
		for (const column of [
			'ac_resistance_mohm',
			'charge_limit_v',
			'discharge_limit_v',
			'charge_cold_c',
			'charge_hot_c',
			'discharge_cold_c',
			'discharge_hot_c',
			'charge_c_rate',
			'discharge_c_rate',
			'width_mm',
			'thickness_mm',
			'height_mm',
			'mass_kg',
			'hole_depth_mm',
			'torque_nm'
		])
			t.double(column);
		t.string('terminal', 60);
	});
	await create('banks', (t) => {
		t.string('name', 80).notNullable();
		t.string('bank_use', 20).notNullable();
		t.string('chemistry', 8).notNullable();
		t.integer('series').notNullable();
		t.integer('parallel').notNullable();
		t.integer('batteries').notNullable().defaultTo(1);
		t.integer('cell_type_id').unsigned().nullable().references('id').inTable('cell_types');
		t.text('notes');
		t.datetime('in_service_on', { precision: 3 });
		t.double('end_fraction').notNullable().defaultTo(0.8);
	});
	await create('deliveries', (t) => {
		belongsTo(t, 'bank_id', 'banks');
		t.string('name', 80).notNullable();
		t.datetime('received_on', { precision: 3 }).notNullable();
		t.string('supplier', 80);
		t.text('notes');
	});
	await create('cells', (t) => {
		belongsTo(t, 'delivery_id', 'deliveries');
		t.string('label', 24).notNullable();
		t.integer('position').notNullable();
		t.string('batch', 60);
		t.string('code', 60);
	});
	await create('readings', (t) => {
		belongsTo(t, 'cell_id', 'cells');
		t.string('quantity', 20).notNullable();
		t.double('value').notNullable().comment('V, mΩ, °C or kg, by quantity');
		t.string('raw_text', 40).notNullable();
		t.string('raw_unit', 12).notNullable();
		t.double('sd').notNullable().comment('one standard deviation, unit of value');
		t.double('rest_s');
		t.datetime('taken_at', { precision: 3 }).notNullable();
		t.string('meter', 80);
		t.string('client_key', 40).unique();
		t.index(['cell_id', 'quantity', 'taken_at']);
	});
	await create('runs', (t) => {
		belongsTo(t, 'cell_id', 'cells');
		t.string('source', 8).notNullable().comment('log or hand');
		t.double('capacity_ah').notNullable();
		for (const column of [
			'sd_ah',
			'energy_wh',
			'mean_voltage_v',
			'current_a',
			'c_rate',
			'duration_s',
			'end_voltage_v',
			'temperature_c',
			'cutoff_v'
		])
			t.double(column);
		t.datetime('tested_at', { precision: 3 }).notNullable();
		t.string('tester', 80);
		t.string('file_name', 200);
		t.json('faults');
		t.index(['cell_id', 'tested_at']);
	});
	await knex.schema.createTable('run_samples', (t) => {
		t.integer('run_id').unsigned().notNullable().references('id').inTable('runs').onDelete('CASCADE');
		t.double('t_s').notNullable();
		t.double('voltage_v').notNullable();
		t.double('current_a').notNullable();
		t.primary(['run_id', 't_s']);
	});
	await create('placements', (t) => {
		belongsTo(t, 'cell_id', 'cells');
		belongsTo(t, 'bank_id', 'banks');
		t.integer('battery').notNullable();
		t.integer('position').notNullable();
		t.datetime('placed_at', { precision: 3 }).notNullable();
		t.datetime('removed_at', { precision: 3 });
	});
	await create('balance_runs', (t) => {
		belongsTo(t, 'bank_id', 'banks');
		t.double('supply_a').notNullable();
		t.double('lead_ohm').notNullable();
		t.datetime('started_at', { precision: 3 });
		t.datetime('ended_at', { precision: 3 });
		t.json('checklist');
	});
	await create('balance_readings', (t) => {
		belongsTo(t, 'balance_run_id', 'balance_runs');
		t.datetime('read_at', { precision: 3 }).notNullable();
		t.double('supply_v');
		t.double('supply_a').notNullable();
		t.double('cell_v');
		t.double('delivered_ah');
	});
	await create('limit_plans', (t) => {
		belongsTo(t, 'bank_id', 'banks');
		t.string('strategy', 20).notNullable();
		for (const column of ['bms_a', 'bms_resolution_v', 'fuse_a', 'cable_a']) t.double(column);
	});
	await create('service_checks', (t) => {
		belongsTo(t, 'bank_id', 'banks');
		t.integer('battery').notNullable().defaultTo(1);
		t.datetime('checked_at', { precision: 3 }).notNullable();
		t.string('context', 8).notNullable();
		t.double('current_a').notNullable();
		t.double('temperature_c');
		t.json('group_voltages_v').notNullable();
		t.text('notes');
	});
	await create('capacity_tests', (t) => {
		belongsTo(t, 'bank_id', 'banks');
		t.integer('battery').notNullable().defaultTo(1);
		t.datetime('tested_at', { precision: 3 }).notNullable();
		t.double('capacity_ah').notNullable();
		t.double('sd_ah').notNullable();
		t.double('efc').notNullable();
		t.double('temperature_c');
		t.text('notes');
	});
	await create('notes', (t) => {
		belongsTo(t, 'cell_id', 'cells');
		t.text('text').notNullable();
		t.datetime('written_at', { precision: 3 }).notNullable();
	});
	await create('settings', (t) => {
		t.string('units', 8).notNullable();
		t.string('date_style', 12).notNullable();
		t.string('theme', 8).notNullable();
		for (const column of ['volt_meter_percent', 'volt_meter_counts_mv', 'ohm_meter_percent', 'ohm_meter_counts_mohm'])
			t.double(column).notNullable();
	});
}
