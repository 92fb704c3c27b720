import type { Knex } from 'knex';
import { createRecords } from './records';

/**
 * What each bank is judged to need, kept until a write makes it out of date; why it was judged again; what verdicts said
 * before; and verdicts a person has seen and set apart.
 */
export async function up(knex: Knex): Promise<void> {
	await knex.schema.createTable('bank_judgements', (t) => {
		t.engine('InnoDB');
		t.integer('bank_id').unsigned().primary().references('id').inTable('banks').onDelete('CASCADE');
		t.integer('edition').unsigned().notNullable().defaultTo(0).comment('of the rules it was judged by');
		t.datetime('judged_at', { precision: 3 });
		t.specificType('warmth', 'tinyint unsigned').notNullable().defaultTo(0).comment('0 calm … 3 stop');
		t.specificType('summary', 'longtext').comment('what Home and the rail show, JSON');
		t.specificType('verdicts', 'longtext').comment('every verdict of every stage, JSON');
	});
	await knex.schema.createTable('judgement_causes', (t) => {
		t.engine('InnoDB');
		t.bigIncrements('id');
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks').onDelete('CASCADE');
		t.string('kind', 40).notNullable().comment('kind of record, or settings');
		t.integer('record_id').unsigned();
		t.string('deed', 12).notNullable();
		t.datetime('happened_at', { precision: 3 }).notNullable();
		t.index(['bank_id', 'id']);
	});
	await knex.schema.createTable('locks', (t) => {
		t.engine('InnoDB');
		t.string('name', 40).primary().comment('held by whoever reads it for update: what only one may do at a time');
	});
	await knex('locks').insert({ name: 'live-claim' });
	await createRecords(knex, 'verdict_changes', (t) => {
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks');
		t.string('stage', 12).notNullable();
		t.string('code', 40).notNullable();
		t.string('subject_kind', 12).notNullable();
		t.string('subject_id', 40).notNullable();
		t.string('subject_label', 120).notNullable();
		t.json('member_ids').notNullable().comment('cells it spoke of');
		t.specificType('said_before', 'longtext').comment('the verdict, JSON; null when it is new');
		t.specificType('says_now', 'longtext').comment('the verdict, JSON; null when it is gone');
		t.json('cause').notNullable();
		t.datetime('changed_at', { precision: 3 }).notNullable();
		t.index(['bank_id', 'changed_at']);
		t.index(['subject_kind', 'subject_id']);
	});
	await createRecords(knex, 'acknowledgements', (t) => {
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks');
		t.string('stage', 12).notNullable();
		t.string('code', 40).notNullable();
		t.string('subject_kind', 12).notNullable();
		t.string('subject_id', 40).notNullable();
		t.string('reason', 400).notNullable();
		t.specificType('facts', 'longtext').notNullable().comment('what the verdict stood on when it was set apart, JSON');
		t.datetime('acknowledged_at', { precision: 3 }).notNullable();
		t.specificType('live', 'tinyint as (if(deleted_at is null, 1, null)) virtual');
		t.unique(['bank_id', 'stage', 'code', 'subject_kind', 'subject_id', 'live'], { indexName: 'one_live' });
	});
}
