import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const ofBattery = (t: Table) => t.integer('battery_id').unsigned().notNullable().references('id').inTable('batteries');
const moment = (t: Table, name: string) => t.datetime(name, { precision: 3 });

/** How a battery was built and proved: leads, torques, temporary parts, loads, comparisons; and how and how exactly things were read. */
export async function up(knex: Knex): Promise<void> {
	await createRecords(knex, 'lead_readings', (t) => {
		ofBattery(t);
		moment(t, 'read_at').notNullable();
		t.json('readings_v').notNullable().comment('each lead against battery negative, lead 0 first, V; null: not read');
		t.json('positive_v').comment('those also read against battery positive');
		t.string('meter', 80);
		t.string('notes', 4000);
	});
	await createRecords(knex, 'joint_torques', (t) => {
		ofBattery(t);
		t.specificType('position', 'smallint unsigned').notNullable().comment('0 battery negative … S battery positive');
		t.double('torque_nm').notNullable();
		moment(t, 'tightened_at').notNullable();
		t.string('notes', 4000);
		t.index(['battery_id', 'position']);
	});
	await createRecords(knex, 'temporary_parts', (t) => {
		ofBattery(t);
		t.string('name', 120).notNullable();
		moment(t, 'put_in_at').notNullable();
		moment(t, 'taken_out_at');
	});
	await createRecords(knex, 'load_readings', (t) => {
		ofBattery(t);
		moment(t, 'read_at').notNullable();
		t.json('rest_v').notNullable().comment('each group at rest, group 1 first, V');
		t.json('load_v').notNullable().comment('each group under the current, V');
		t.double('current_a').notNullable().comment('into the battery');
		t.string('meter', 80);
		t.string('notes', 4000);
	});
	await createRecords(knex, 'bms_comparisons', (t) => {
		ofBattery(t);
		moment(t, 'read_at').notNullable();
		t.json('bms_v').notNullable().comment('each group, group 1 first, V; null: not read');
		t.json('meter_v').notNullable();
		t.string('meter', 80);
		t.string('notes', 4000);
	});
	await createRecords(knex, 'charge_counts', (t) => {
		ofBattery(t);
		moment(t, 'counted_at').notNullable();
		t.double('charged_ah').notNullable();
		t.double('discharged_ah').notNullable();
		t.string('notes', 4000);
	});
	await createRecords(knex, 'balance_cells', (t) => {
		t.integer('balance_run_id').unsigned().notNullable().references('id').inTable('balance_runs');
		t.integer('cell_id').unsigned().notNullable().references('id').inTable('cells');
		t.specificType('live', 'tinyint as (if(deleted_at is null, 1, null)) virtual');
		t.unique(['balance_run_id', 'cell_id', 'live'], { indexName: 'once_in_the_row' });
	});
	await knex.schema.alterTable('balance_runs', (t) => {
		t.double('set_v').comment('what the supply is set to; null: the default of the chemistry');
	});
	// Older balances were told the cells' limit, and held what was placed while they ran.
	await knex.raw(`
		update balance_runs r join banks b on b.id = r.bank_id left join cell_types t on t.id = b.cell_type_id
		set r.set_v = coalesce(t.charge_limit_v, case b.chemistry when 'LTO' then 2.8 when 'NMC' then 4.2 else 3.65 end)`);
	await knex.raw(`
		insert into balance_cells (balance_run_id, cell_id, created_at, updated_at)
		select distinct r.id, p.cell_id, r.created_at, r.created_at
		from balance_runs r
		join batteries b on b.bank_id = r.bank_id
		join \`groups\` g on g.battery_id = b.id
		join placements p on p.group_id = g.id and p.deleted_at is null
			and (p.removed_at is null or p.removed_at > coalesce(r.ended_at, r.started_at, r.created_at))
			and (p.placed_at is null or p.placed_at <= coalesce(r.ended_at, r.updated_at))
		where r.deleted_at is null`);
	await knex.schema.alterTable('balance_readings', (t) => {
		t.double('read_doubt_s').comment('how far off the time may be; null: exact');
	});
	await knex.schema.alterTable('readings', (t) => {
		t.string('state', 16).notNullable().defaultTo('loose').comment('how the cell was while it was read');
		t.double('state_a').comment('current into the cell while it was read, A');
		t.double('taken_doubt_s').comment('how far off the time may be; null: exact');
	});
	await knex.schema.alterTable('runs', (t) => {
		t.double('power_w').comment('constant power it was discharged with, W');
		t.double('rest_s').comment('rest between charge and discharge, s');
		t.boolean('started_full').comment('null: nobody said');
		t.double('tested_doubt_s').comment('how far off the time may be; null: exact');
	});
	await knex.schema.alterTable('settings', (t) => {
		t.double('wake_from_h').notNullable().defaultTo(7);
		t.double('wake_until_h').notNullable().defaultTo(22);
	});
	await knex.schema.alterTable('service_checks', (t) => {
		t.double('checked_doubt_s').comment('how far off the time may be; null: exact');
	});
	await knex.schema.alterTable('capacity_tests', (t) => {
		t.double('tested_doubt_s').comment('how far off the time may be; null: exact');
	});
}
