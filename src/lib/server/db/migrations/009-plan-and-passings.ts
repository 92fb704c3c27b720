import type { Knex } from 'knex';

/** What the log of a charge says of its groups. */
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
}
