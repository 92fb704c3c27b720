import { statfsSync } from 'node:fs';

/** What a lost or silent database says of itself, by the driver's and the pool's own codes. */
const AWAY = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'EPIPE',
	'ETIMEDOUT',
	'PROTOCOL_CONNECTION_LOST',
	'ER_SERVER_SHUTDOWN',
	'ER_NORMAL_SHUTDOWN',
	'ER_CON_COUNT_ERROR'
]);

/** Whether an error says that the database cannot be reached now. */
function isDatabaseAway(error: unknown): boolean {
	const { code, name, fatal, message } = (error ?? {}) as {
		code?: string;
		name?: string;
		fatal?: boolean;
		message?: string;
	};
	if (name === 'KnexTimeoutError') return true;
	if (fatal && /closed state|Connection lost/i.test(message ?? '')) return true;
	return code !== undefined && AWAY.has(code);
}

/** What a database without room says, by its own codes: a full disk, a full table space, an error while writing with the system's number 28. */
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_DISK_FULL_NOWAIT', 'ER_TEMP_FILE_WRITE_FAILURE']);
const NO_SPACE = /No space left|errno: ?28\b|Errcode: ?28\b/i;

const isDiskFull = (error: unknown): boolean => {
	const { code, message } = (error ?? {}) as { code?: string; message?: string };
	return (code !== undefined && FULL.has(code)) || (code !== undefined && NO_SPACE.test(message ?? ''));
};

/** A database on a disk with less room does not start, bytes. */
const MIN_BYTES = 40 * 1024 * 1024;

/** Whether the private database is away because its disk is full; who starts it says where it lies. */
function hasNoRoom(): boolean {
	const folder = process.env.KIND_EMBER_DISK;
	if (!folder) return false;
	try {
		const { bavail, bsize } = statfsSync(folder);
		return bavail * bsize < MIN_BYTES;
	} catch {
		return false;
	}
}

/** A trouble of the database that passes: nothing was changed, and the same may be sent again. */
export interface PassingTrouble {
	code: 'database-away' | 'disk-full';
	message: string;
}

/** What passing trouble of the database an error tells of, in words; null for any other error. */
export function passingTrouble(error: unknown): PassingTrouble | null {
	const isAway = isDatabaseAway(error);
	if (isDiskFull(error) || (isAway && hasNoRoom()))
		return {
			code: 'disk-full',
			message:
				'The disk of the database is full: nothing was stored, and what was stored before is safe. Free 200 MB there; then it goes on by itself. What you typed is kept here.'
		};
	if (isAway)
		return {
			code: 'database-away',
			message:
				'The database is away. It is started again by itself; what you typed is kept here and sent when it is back. Nothing was changed.'
		};
	return null;
}
