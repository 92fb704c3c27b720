import type { Knex } from 'knex';

/** Steps may be taken from the log of a charge; none asks for hours, which its dates tell. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.alterTable('method_entries', (t) => {
		t.json('passings').comment('Ah between the groups in the charge whose log the volts are a line of');
		t.dropColumn('hours');
	});
}
