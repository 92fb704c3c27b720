import type { Knex } from 'knex';

/**
 * Cycles nobody counted are not none. A blank used to be kept as 0: where a battery had been at work for a month or more, 0 was
 * a blank.
 */
export async function up(knex: Knex): Promise<void> {
	await knex.raw('alter table capacity_tests modify efc double null');
	await knex.raw(`update capacity_tests t join banks b on b.id = t.bank_id set t.efc = null
		where t.efc = 0 and t.tested_at > coalesce(b.in_service_on, b.created_at) + interval 30 day`);
}
