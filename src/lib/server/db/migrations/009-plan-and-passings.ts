import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const ofBank = (t: Table) => t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks');
/** Money, to the hundredth. */
const money = (t: Table, name: string) => t.decimal(name, 14, 2);

/** What the log of a charge says of its groups; what is planned before anything is bought, and what it costs. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('service_checks', (t) => {
		t.json('passings').comment(
			'Ah counted when each group passed one voltage in the charge this check ended; null: no log'
		);
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.double('standby_a').comment(
			'drawn after the load’s cut-off by BMS, balancer, display and relays, A; null: nobody knows'
		);
	});
	await knex.schema.alterTable('settings', (t) => {
		t.string('currency', 8).notNullable().defaultTo('€');
	});
	await createRecords(knex, 'plans', (t) => {
		ofBank(t);
		t.double('latitude_deg');
		t.json('loads').notNullable();
		t.json('inverter');
		t.double('standby_w');
		t.double('window').comment('share of the capacity that is used');
		t.json('fields').notNullable().comment('panels: W, tilt, azimuth');
		t.json('sun_hours').comment('kWh/m² a day on the horizontal, January first');
		t.json('air_c');
		t.double('box_warm_c');
		t.json('sources').notNullable();
		t.json('generator');
		for (const column of ['coldest_c', 'hottest_c', 'series_charge_a', 'test_a', 'hours_a_day']) t.double(column);
		t.json('chargers').notNullable();
		t.json('supplies').notNullable();
		for (const column of ['bars_for_cells', 'rows', 'people', 'testers']) t.integer(column);
		t.specificType('studs_per_pole', 'tinyint unsigned').notNullable().defaultTo(1);
		t.string('balance', 12).notNullable().defaultTo('together');
		t.json('kit').notNullable().comment('what is in the drawer, pieces');
		t.json('box');
		for (const column of ['cell_price', 'bms_price', 'ready_made_price']) money(t, column);
		t.double('ready_made_wh');
		t.datetime('order_on', { precision: 3 });
		for (const column of ['cell_lead_days', 'part_lead_days']) t.double(column);
		t.specificType('live', 'tinyint as (if(deleted_at is null, 1, null)) virtual');
		t.unique(['bank_id', 'live'], { indexName: 'one_plan_a_bank' });
	});
	await createRecords(knex, 'plan_items', (t) => {
		ofBank(t);
		t.string('name', 120).notNullable();
		t.double('quantity').notNullable();
		money(t, 'unit_price').notNullable();
		money(t, 'shipping').notNullable();
		t.datetime('priced_on', { precision: 3 });
		t.string('source', 200);
		t.boolean('used').notNullable();
	});
	await createRecords(knex, 'price_snapshots', (t) => {
		ofBank(t);
		t.datetime('taken_at', { precision: 3 }).notNullable();
		t.json('items').notNullable().comment('the list as it was: name, quantity, unit price, shipping');
	});
}
