import type { Knex } from 'knex';
import { validated } from '$lib/input/validate';
import type { Recorded } from '../db/repository';
import { inTransaction } from '../db/transaction';
import { ServiceError } from '../errors';
import { noteCause } from './causes';
import { keyedRecord, requestHash, assignKey, takeKey } from './client-key';
import type { WriteAction, Fields, RecordKind } from './kind';
import { checkParents } from './parents';
import { afterWrite, checkRecord, checkRemovalOf, preparedFields } from './rules';
import { takeSentAlong, underPath, type SentAlong } from './sent-along';

export interface Written {
	record: Recorded;
	/** False when it had been stored before, by a request with the same key. */
	isNew: boolean;
}

function refuseUnwritable({ name }: RecordKind): never {
	throw new ServiceError(405, 'follows', `${name} follow from what else is recorded: they are read, not written.`);
}

/** Whoever is judged by a record hears that it was written, in the same transaction. */
export async function noteWrite(
	kind: RecordKind,
	deed: WriteAction,
	rows: readonly (Recorded | null)[],
	tx: Knex
): Promise<void> {
	const there = rows.filter((row): row is Recorded => row !== null);
	const bankIds = (await Promise.all(there.map((row) => kind.banksOf(row, tx)))).flat();
	await noteCause(bankIds, { kind: kind.name, recordId: there[0]?.id ?? null, deed }, tx);
}

/** Stores the parents that came along; gives the fields that name them. */
async function storeSentAlong(along: readonly SentAlong[], tx: Knex): Promise<Fields> {
	const named: Fields = {};
	for (const { path, field, kind, body } of along) {
		const { id, ...fields } = body;
		const stored = id ? changeRecord(kind, id as number, fields, tx) : createRecord(kind, fields, tx);
		named[field] = (await underPath(path, stored)).id;
	}
	return named;
}

/** A new record of a kind from fields that have been validated. */
async function make(
	kind: RecordKind,
	fields: Fields,
	tx: Knex,
	more?: (tx: Knex) => Promise<Fields>
): Promise<Recorded> {
	await checkParents(kind, fields, null, tx);
	const prepared = await preparedFields(kind, fields, tx);
	const { clientKey: _, ...stored } = { ...prepared, ...(await more?.(tx)) } as Fields;
	const row = await kind.repository.insert(stored, tx);
	await checkRecord(kind, row, tx, null);
	await afterWrite(kind, row, tx, 'create', fields);
	await noteWrite(kind, 'create', [row], tx);
	return row;
}

/**
 * Stores a new record; sent again with the same `clientKey` it gives the first one, even when that was taken out since.
 * @param more what the application itself adds to the fields
 * @throws InputError, ServiceError
 */
export async function createOnce(
	kind: RecordKind,
	body: unknown,
	more?: (tx: Knex) => Promise<Fields>,
	outer?: Knex
): Promise<Written> {
	if (!kind.createInput) refuseUnwritable(kind);
	const { own, along } = takeSentAlong(kind, body);
	const fields = { ...validated(kind.createInput, own) } as Fields;
	const key = kind.keyed && typeof fields.clientKey === 'string' ? fields.clientKey : null;
	return inTransaction(async (tx) => {
		if (key !== null) {
			const known = await takeKey(kind.name, key, requestHash(body as object), tx);
			if (known !== null) return { record: (await kind.repository.find(known, tx))!, isNew: false };
		}
		const record = await make(kind, { ...fields, ...(await storeSentAlong(along, tx)) }, tx, more);
		if (key !== null) await assignKey(kind.name, key, record.id, tx);
		return { record, isNew: true };
	}, outer);
}

/** As {@link createOnce}, the record alone. */
export const createRecord = async (kind: RecordKind, body: unknown, outer?: Knex): Promise<Recorded> =>
	(await createOnce(kind, body, undefined, outer)).record;

/** Changes the fields given. `version` must be the one that was read, or the change is refused as stale. */
export async function changeRecord(kind: RecordKind, id: number, body: unknown, outer?: Knex): Promise<Recorded> {
	if (!kind.changeInput) refuseUnwritable(kind);
	const { own, along } = takeSentAlong(kind, body);
	const { version, ...rest } = (own ?? {}) as Fields;
	if (!Number.isSafeInteger(version) || (version as number) < 1)
		throw new ServiceError(
			422,
			'version',
			'version is required: send the version of the record you read, so that two people cannot overwrite each other.'
		);
	const { clientKey: _, ...sent } = { ...validated(kind.changeInput, rest, true) } as Fields;
	return inTransaction(async (tx) => {
		const before = await kind.repository.get(id, tx);
		const fields = { ...sent, ...(await storeSentAlong(along, tx)) };
		await checkParents(kind, fields, before, tx);
		const derived = (await kind.derive?.(fields, before, tx)) ?? {};
		const row = await kind.repository.update(id, version as number, { ...fields, ...derived }, tx);
		await checkRecord(kind, row, tx, before);
		await afterWrite(kind, row, tx, 'change', fields);
		await noteWrite(kind, 'change', [row, before], tx);
		return row;
	}, outer);
}

/** Made here or by the application: what can be changed or made can be taken out. */
const isTakenOut = (kind: RecordKind) => kind.createInput !== null || kind.changeInput !== null;

/** Takes a record out; it can be brought back. @throws ServiceError 409 when it is stale, or something stands on it */
export async function removeRecord(kind: RecordKind, id: number, version: number, outer?: Knex): Promise<void> {
	if (!isTakenOut(kind)) refuseUnwritable(kind);
	await inTransaction(async (tx) => {
		const row = await kind.repository.hold(id, tx, 'update');
		await checkRemovalOf(kind, row, tx);
		await noteWrite(kind, 'remove', [row], tx);
		await kind.repository.remove(id, version, tx);
		await afterWrite(kind, row, tx, 'remove', {});
	}, outer);
}

/** Brings a record back, where what must hold of it still does. One that was not taken out stays as it is. */
export async function restoreRecord(kind: RecordKind, id: number): Promise<Recorded> {
	if (!isTakenOut(kind)) refuseUnwritable(kind);
	return inTransaction(async (tx) => {
		const gone = await kind.repository.find(id, tx);
		if (!gone || gone.deletedAt === null) return kind.repository.get(id, tx);
		await checkParents(kind, {}, gone, tx);
		const row = await kind.repository.restore(id, tx);
		await checkRecord(kind, row, tx, null);
		await afterWrite(kind, row, tx, 'restore', {});
		await noteWrite(kind, 'restore', [row], tx);
		return row;
	});
}

/** The record a key has made already; null when it has made none. */
export async function recordOfKey(kind: RecordKind, clientKey: string): Promise<Recorded | null> {
	const id = await keyedRecord(kind.name, clientKey);
	return id === null ? null : kind.repository.find(id);
}
