import type { Knex } from 'knex';
import { createRecords } from './records';

export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('live_runs', (t) => {
		t.string('chemistry', 8).comment('of its bank when it was planned; null: planned before this was kept');
		t.double('held_at_c').comment('temperature it is run at on purpose; null: at that of the room');
	});
	await knex.schema.alterTable('runs', (t) => {
		t.double('held_at_c').comment('temperature it was run at on purpose; null: at that of the room');
	});
	await knex.schema.alterTable('protocols', (t) => {
		t.double('temperature_c').comment('it is run at on purpose; null: at that of the room');
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.integer('rows').unsigned().comment('rows its groups lie in; null: as they fit');
		t.boolean('square_blocks').comment('the cells of a group lie two deep');
		t.string('outputs_at', 12).comment('corner at which battery negative leaves, front-left');
	});
	await knex.schema.alterTable('plans', (t) => {
		t.double('test_delivers_a').comment('what flows by a meter when a tester is set to test_a');
	});
	await knex.schema.alterTable('deliveries', (t) => {
		t.integer('module_series').unsigned().comment('groups in series in each module it came as; null: single cells');
		t.integer('module_parallel').unsigned().comment('cells side by side in each of them');
	});
	await knex.raw(
		'alter table deliveries add constraint whole_modules check ((module_series is null) = (module_parallel is null))'
	);
	await createRecords(knex, 'modules', (t) => {
		t.integer('delivery_id').unsigned().notNullable().references('id').inTable('deliveries').index();
		t.integer('number').unsigned().notNullable().comment('which of the delivery, from 1');
		t.double('voltage_v').comment('over its terminals');
		t.json('groups_v').comment('over each group, from its minus');
		t.datetime('read_at', { precision: 3 });
		t.json('seen').comment('from outside, that stops it');
		t.datetime('opened_on', { precision: 3 }).comment('taken apart; null: in one piece');
		t.text('notes');
		t.string('client_key', 80).unique();
	});
	await knex.raw(`alter table modules
		add column live tinyint as (if(deleted_at is null, 1, null)) virtual,
		add unique key one_record (delivery_id, number, live)`);
	await createRecords(knex, 'orders', (t) => {
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks').index();
		t.integer('delivery_id').unsigned().references('id').inTable('deliveries').comment('it came as; null: under way');
		t.string('name', 80).notNullable();
		t.integer('cell_count').unsigned();
		t.string('supplier', 80);
		t.text('notes');
		for (const name of ['ordered_on', 'promised_on', 'promised_produced_on']) t.datetime(name, { precision: 3 });
		t.decimal('cell_price', 14, 2).comment('of one cell');
		t.decimal('shipping', 14, 2);
		t.string('promised_grade', 40);
		t.string('promised_terminals', 40);
		t.double('promised_ah').comment('by the clause in promised_clause');
		t.string('promised_clause', 12);
		for (const name of ['promised_resistance_mohm', 'grade_capacity_ah', 'grade_resistance_mohm', 'claim_days'])
			t.double(name);
		t.boolean('used').comment('sold as used');
	});
}
