import type { Knex } from 'knex';

/** What each service check was judged to say, so that years of checks are not judged anew at every write. */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('judged_checks', (t) => {
		t.engine('InnoDB');
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks').onDelete('CASCADE');
		t.specificType('seen', 'char(40)')
			.notNullable()
			.comment('SHA-1 of all that was judged, and of the edition of the rules');
		t.specificType('judgement', 'mediumtext').notNullable().comment('JSON');
		t.primary(['bank_id', 'seen']);
	});
}
