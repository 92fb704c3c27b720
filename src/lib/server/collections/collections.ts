import type { Page, Recorded } from '../db/repository';
import type { Fields, RecordKind } from '../records/kind';
import { listRecords } from '../records/list';
import { recordKind } from '../records/registry';
import { hooksOf } from '../records/hooks';
import { changeRecord, createOnce, removeRecord, restoreRecord, type Written } from '../records/write';

/** A kind under the general addresses, by its name. @throws ServiceError 404 */
function openKind(name: string): RecordKind {
	const kind = recordKind(name);
	return kind.hidden ? recordKind('') : kind;
}

export const listIn = async (name: string, query: URLSearchParams): Promise<Page<Recorded>> =>
	listRecords(openKind(name), query);
const fieldsOf = (body: unknown): Fields => (typeof body === 'object' && body !== null ? (body as Fields) : {});

export async function createIn(name: string, body: unknown): Promise<Written> {
	const kind = openKind(name);
	const fields = fieldsOf(body);
	let more: Fields | undefined;
	for (const hooks of hooksOf(kind.name)) {
		await hooks.beforeCreate?.(fields);
		if (hooks.adds) more = { ...more, ...(await hooks.adds(fields)) };
	}
	return createOnce(kind, body, more && (async () => more));
}
export const readIn = async (name: string, id: number): Promise<Recorded> => openKind(name).repository.get(id);
export async function changeIn(name: string, id: number, body: unknown): Promise<Recorded> {
	const kind = openKind(name);
	for (const hooks of hooksOf(kind.name)) await hooks.beforeChange?.(id, fieldsOf(body));
	return changeRecord(kind, id, body);
}
export const removeFrom = async (name: string, id: number, version: number): Promise<void> =>
	removeRecord(openKind(name), id, version);
export async function restoreIn(name: string, id: number): Promise<Recorded> {
	const kind = openKind(name);
	const asked = hooksOf(kind.name).filter((hooks) => hooks.beforeRestore);
	const row = asked.length ? await kind.repository.find(id) : null;
	if (row?.deletedAt) for (const hooks of asked) await hooks.beforeRestore!(row);
	return restoreRecord(kind, id);
}
