import type { Knex } from 'knex';
import { createRecords } from './records';

export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('live_runs', (t) => {
		t.string('chemistry', 8).comment('of its bank when it was planned; null: planned before this was kept');
	});
	await knex.schema.alterTable('batteries', (t) => {
		t.integer('rows').unsigned().comment('rows its groups lie in; null: as they fit');
		t.boolean('square_blocks').comment('the cells of a group lie two deep');
		t.string('outputs_at', 12).comment('corner at which battery negative leaves, front-left');
	});
	await knex.schema.alterTable('plans', (t) => {
		t.double('test_delivers_a').comment('what flows by a meter when a tester is set to test_a');
	});
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
