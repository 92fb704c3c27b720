import type { Knex } from 'knex';

/** What the samples of a live run did minute by minute: enough to draw weeks of a watch without reading every sample. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('live_minutes', (t) => {
		t.engine('InnoDB');
		t.integer('live_run_id').unsigned().notNullable().references('id').inTable('live_runs').onDelete('CASCADE');
		t.bigInteger('minute_ms').notNullable().comment('its first moment, by the instrument’s clock');
		t.specificType('phase', 'tinyint unsigned').notNullable();
		for (const measure of ['voltage', 'cell']) {
			t.double(`${measure}_low_v`);
			t.double(`${measure}_high_v`);
		}
		t.double('current_low_a').notNullable();
		t.double('current_high_a').notNullable();
		t.primary(['live_run_id', 'minute_ms']);
	});
	await knex.raw(`
		insert into live_minutes
			(live_run_id, minute_ms, phase, voltage_low_v, voltage_high_v, cell_low_v, cell_high_v, current_low_a, current_high_a)
		select live_run_id, at_ms - mod(at_ms, 60000), max(phase), min(voltage_v), max(voltage_v), min(cell_v), max(cell_v),
			min(current_a), max(current_a)
		from live_samples
		group by live_run_id, at_ms - mod(at_ms, 60000)`);
}
