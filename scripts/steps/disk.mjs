// Room on the disk, and whether it may be written on: said in words, before or instead of what the database says.
import { accessSync, constants, existsSync, readFileSync, statfsSync } from 'node:fs';
import { dirname } from 'node:path';

const MEGABYTE = 1 << 20;
/** A database is prepared in so much. */
const FIRST_BYTES = 200 * MEGABYTE;
/** One that exists needs so much to start and to write down a day. */
const MIN_BYTES = 40 * MEGABYTE;

const existing = (folder) => (existsSync(folder) ? folder : existing(dirname(folder)));

/** Free bytes for whoever we are; null where nobody can tell. */
export function freeBytes(folder) {
	try {
		const { bavail, bsize } = statfsSync(existing(folder));
		return bavail * bsize;
	} catch {
		return null;
	}
}

/** A folder that is missing on a read-only disk is told as missing: what it would lie in is asked. */
function mayWrite(folder) {
	try {
		accessSync(existing(folder), constants.W_OK);
		return true;
	} catch {
		return false;
	}
}

const lacks = (folder, bytes) => (freeBytes(folder) ?? Infinity) < bytes;
/** Whether a database on this folder has no room to go on. */
export const isFull = (folder) => lacks(folder, MIN_BYTES);

const FULL = /No space left|errno:? ?28\b|Errcode: ?28\b|OS error:? 28\b|OS error number 28\b|ENOSPC|Disk quota/i;
const READ_ONLY = /Read-only file system|Permission denied|errno:? ?(30|13)\b|Errcode: ?(30|13)\b|EROFS|EACCES|EPERM/i;

const full = (folder, what) =>
	`The disk is full: ${what}. Free ${FIRST_BYTES / MEGABYTE} MB on the disk of ${folder} and start again.`;
const readOnly = (folder) =>
	`Nothing can be written to ${folder}: the disk is read-only, or the folder is somebody else's. Make it writable, or name another folder in KIND_EMBER_DATA, and start again.`;

/** Before a database is prepared or started. @throws Error in words for a person when there is no room for it */
export function requireRoom(folder, isNew) {
	if (isNew && lacks(folder, FIRST_BYTES)) throw new Error(full(folder, 'the database could not be prepared'));
	if (!isNew && lacks(folder, MIN_BYTES))
		throw new Error(full(folder, 'the database was not started. What was stored is safe'));
}

/**
 * What a failure of the disk is in words for a person; any other error as it is.
 * @param {unknown} error @param {string} folder
 * @param {{isNew?: boolean, log?: {file: string, from: number} | null}} [about] `isNew`: nothing was stored yet; `log`: a file that tells more, and where this time began in it
 * @returns {Error}
 */
export function diskTrouble(error, folder, { isNew = false, log = null } = {}) {
	const text = `${error?.code ?? ''} ${error?.message ?? error} ${log && existsSync(log.file) ? readFileSync(log.file).subarray(log.from).toString('utf8') : ''}`;
	const wordsOfFull = () =>
		new Error(
			full(
				folder,
				isNew ? 'the database could not be prepared' : 'the database could not go on. What was stored is safe'
			)
		);
	if (FULL.test(text)) return wordsOfFull();
	if (READ_ONLY.test(text) || !mayWrite(folder)) return new Error(readOnly(folder));
	if (isFull(folder)) return wordsOfFull();
	return error;
}
