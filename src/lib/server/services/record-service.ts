import type { Page, Recorded } from '../db/repository';
import type { RecordKind } from '../records/kind';
import { listRecords } from '../records/list';
import { recordKind } from '../records/registry';
import { changeRecord, createOnce, removeRecord, restoreRecord, type Written } from '../records/write';

/** A kind under the general addresses, by its name. @throws ServiceError 404 */
function openKind(name: string): RecordKind {
	const kind = recordKind(name);
	return kind.hidden ? recordKind('') : kind;
}

export const listIn = async (name: string, query: URLSearchParams): Promise<Page<Recorded>> =>
	listRecords(openKind(name), query);
export const createIn = async (name: string, body: unknown): Promise<Written> => createOnce(openKind(name), body);
export const readIn = async (name: string, id: number): Promise<Recorded> => openKind(name).repository.get(id);
export const changeIn = async (name: string, id: number, body: unknown): Promise<Recorded> =>
	changeRecord(openKind(name), id, body);
export const removeFrom = async (name: string, id: number, version: number): Promise<void> =>
	removeRecord(openKind(name), id, version);
export const restoreIn = async (name: string, id: number): Promise<Recorded> => restoreRecord(openKind(name), id);
