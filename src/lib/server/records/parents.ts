import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import type { Recorded } from '../db/repository';
import { ServiceError } from '../errors';
import type { Fields, RecordKind } from './kind';
import { recordKind } from './registry';

interface Parent {
	field: string;
	kind: RecordKind;
	/** It only has to be there when it is named anew, and what it belongs to is not asked. */
	loose: boolean;
}

const parentsOf = (kind: RecordKind): Parent[] =>
	Object.entries(kind.parents).map(([field, name]) => ({
		field,
		kind: recordKind(name.replace(/\?$/, '')),
		loose: name.endsWith('?')
	}));

/**
 * Whatever a record names as its parent is there, and stays there until this transaction ends; so does what that belongs to.
 * @param fields what is written; @param before the record as it is, null when it is new
 * @throws InputError by the path of the field
 */
export async function checkParents(kind: RecordKind, fields: Fields, before: Recorded | null, tx: Knex): Promise<void> {
	for (const { field, kind: parent, loose } of parentsOf(kind)) {
		const named = fields[field];
		const id = named === undefined ? (before as unknown as Fields | null)?.[field] : named;
		if (id === null || id === undefined || (loose && named === undefined)) continue;
		await holdUp(parent, id as number, field, loose, tx);
	}
}

async function holdUp(kind: RecordKind, id: number, path: string, loose: boolean, tx: Knex): Promise<void> {
	const row = await kind.repository.hold(id, tx, 'share').catch((error: unknown) => {
		if (!(error instanceof ServiceError)) throw error;
		throw new InputError([
			{ path, message: `there is no ${kind.repository.what} ${id}: it was taken out, or never was` }
		]);
	});
	if (loose) return;
	for (const above of parentsOf(kind)) {
		const aboveId = (row as unknown as Fields)[above.field];
		if (!above.loose && aboveId !== null && aboveId !== undefined)
			await holdUp(above.kind, aboveId as number, path, false, tx);
	}
}
