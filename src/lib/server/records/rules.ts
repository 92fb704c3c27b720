import type { Knex } from 'knex';
import type { Recorded } from '../db/repository';
import { hooksOf } from './hooks';
import type { WriteAction, Fields, RecordKind } from './kind';

/** A new record's fields as they are stored. @param fields validated */
export async function preparedFields(kind: RecordKind, fields: Fields, tx: Knex): Promise<Fields> {
	const { clientKey: _, ...own } = fields;
	let prepared = kind.prepare ? await kind.prepare(fields as never, tx) : own;
	for (const hooks of hooksOf(kind.name))
		if (hooks.prepare) prepared = { ...prepared, ...(await hooks.prepare(fields as never, tx)) };
	return prepared;
}

/** What must hold of a record, whoever asks it. Throws. */
export async function checkRecord(kind: RecordKind, row: Recorded, tx: Knex, before: Recorded | null): Promise<void> {
	await kind.check?.(row, tx, before);
	for (const hooks of hooksOf(kind.name)) await hooks.check?.(row, tx, before);
}

/** What else has to be done once it is written. */
export async function afterWrite(
	kind: RecordKind,
	row: Recorded,
	tx: Knex,
	deed: WriteAction,
	fields: Fields
): Promise<void> {
	await kind.after?.(row, tx, deed, fields);
	for (const hooks of hooksOf(kind.name)) await hooks.after?.(row, tx, deed, fields);
}

/** Whether it may be taken out. Throws. */
export async function checkRemovalOf(kind: RecordKind, row: Recorded, tx: Knex): Promise<void> {
	for (const hooks of hooksOf(kind.name)) await hooks.checkRemoval?.(row, tx);
	await kind.checkRemoval?.(row, tx);
}
