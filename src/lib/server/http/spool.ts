import { mkdtemp, open, rm, type FileHandle } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BodyError } from './body-error';

/** A body that is whole, on the disk under a name nobody else knows. */
export interface Spooled {
	/** Its bytes, once. */
	chunks: AsyncIterable<Uint8Array>;
	/** Gives its room back; must be called however its reading ended. */
	discard(): Promise<void>;
}

const NO_ROOM = new Set(['ENOSPC', 'EDQUOT', 'EROFS', 'EACCES', 'ENOENT']);
const noRoom = () =>
	new BodyError(
		409,
		'no-room',
		`There is no room on the disk for this file while it is taken in (${tmpdir()}). Nothing was stored. Free some room there and send it again.`
	);

/** The file's own name is gone at once: whatever ends the server, nothing is left behind. */
async function namelessFile(): Promise<FileHandle> {
	const folder = await mkdtemp(join(tmpdir(), 'kind-ember-'));
	try {
		return await open(join(folder, 'body'), 'wx+', 0o600);
	} finally {
		await rm(folder, { recursive: true, force: true });
	}
}

/** So many are taken in at once; each may fill the disk. */
const MAX_AT_ONCE = 16;
let coming = 0;

/** Takes a body in before anybody works on it, so that a slow line holds up nothing but itself. @throws BodyError `no-room`, and what `chunks` throws */
export async function spooled(chunks: AsyncIterable<Uint8Array>): Promise<Spooled> {
	if (coming >= MAX_AT_ONCE)
		throw new BodyError(
			409,
			'busy',
			`${MAX_AT_ONCE} files are being taken in already. Nothing was stored; send this one again when one of them has ended.`
		);
	coming++;
	let file: FileHandle | null = null;
	try {
		file = await namelessFile();
		for await (const chunk of chunks) await file.writeFile(chunk);
	} catch (error) {
		await file?.close();
		throw isNoRoom(error) ? noRoom() : error;
	} finally {
		coming--;
	}
	const whole = file;
	return {
		chunks: whole.createReadStream({ start: 0, autoClose: false, highWaterMark: 256 * 1024 }),
		discard: () => whole.close()
	};
}

const isNoRoom = (error: unknown) => NO_ROOM.has((error as { code?: string } | null)?.code ?? '');
