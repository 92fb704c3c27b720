import type { Page, Recorded } from '../db/repository';
import type { RecordKind } from './kind';
import { listRecords } from './list';
import { recordKind } from './registry';
import { GUARDS } from './guards';
import { changeRecord, createOnce, removeRecord, restoreRecord, type Written } from './write';

/** A kind under the general addresses, by its name. @throws ServiceError 404 */
function openKind(name: string): RecordKind {
	const kind = recordKind(name);
	return kind.hidden ? recordKind('') : kind;
}

export const listIn = async (name: string, query: URLSearchParams): Promise<Page<Recorded>> =>
	listRecords(openKind(name), query);
const fieldsOf = (body: unknown): Record<string, unknown> =>
	typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};

export async function createIn(name: string, body: unknown): Promise<Written> {
	const kind = openKind(name);
	const guard = GUARDS[kind.name];
	await guard?.create?.(fieldsOf(body));
	const added = await guard?.adds?.(fieldsOf(body));
	return createOnce(kind, body, added && (async () => added));
}
export const readIn = async (name: string, id: number): Promise<Recorded> => openKind(name).repository.get(id);
export async function changeIn(name: string, id: number, body: unknown): Promise<Recorded> {
	const kind = openKind(name);
	await GUARDS[kind.name]?.change?.(id, fieldsOf(body));
	return changeRecord(kind, id, body);
}
export const removeFrom = async (name: string, id: number, version: number): Promise<void> =>
	removeRecord(openKind(name), id, version);
export async function restoreIn(name: string, id: number): Promise<Recorded> {
	const kind = openKind(name);
	const row = GUARDS[kind.name]?.restore ? await kind.repository.find(id) : null;
	if (row?.deletedAt) await GUARDS[kind.name]!.restore!(row);
	return restoreRecord(kind, id);
}
