import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { database } from '../db/connection';
import { ServiceError } from '../errors';

/** A file as it is kept: by its hash, once, however often it is attached. */
export interface StoredFile {
	hash: string;
	mime: string;
	bytes: number;
	width: number | null;
	height: number | null;
}

export interface NewFile {
	mime: string;
	content: Buffer;
	width: number | null;
	height: number | null;
	thumbnail: Buffer | null;
}

/** Bytes a row: small beside what a statement may hold. */
export const CHUNK_BYTES = 256 * 1024;

export const hashOf = (content: Uint8Array): string => createHash('sha256').update(content).digest('hex');

/** Keeps a file in chunks; one that is there already is not written again. @returns its hash */
export async function keepFile({ content, thumbnail, ...file }: NewFile, tx: Knex): Promise<string> {
	const hash = hashOf(content);
	// Two who send the same one at once: the second waits for the first and finds it there.
	await tx('attachment_files')
		.insert({ hash, ...file, bytes: content.length, thumbnail })
		.onConflict('hash')
		.ignore();
	const [{ n }] = (await tx('attachment_chunks').where({ hash }).count({ n: '*' })) as [{ n: number }];
	if (Number(n) === 0)
		for (let from = 0, k = 0; from < content.length; from += CHUNK_BYTES, k++)
			await tx('attachment_chunks').insert({ hash, n: k, bytes: content.subarray(from, from + CHUNK_BYTES) });
	return hash;
}

/** @throws ServiceError 404 */
export async function storedFile(hash: string, db: Knex = database()): Promise<StoredFile> {
	const row = await db('attachment_files').where({ hash }).first('hash', 'mime', 'bytes', 'width', 'height');
	if (!row) throw new ServiceError(404, 'not-found', 'This file is not there (any more).');
	return row;
}

/** Its bytes, a row at a time. */
export async function* chunksOf(hash: string, db: Knex = database()): AsyncGenerator<Buffer> {
	for (let n = 0; ; n++) {
		const row = await db('attachment_chunks').where({ hash, n }).first('bytes');
		if (!row) return;
		yield row.bytes as Buffer;
	}
}

/** The small picture of one; null where it has none. */
export async function thumbnailOf(hash: string): Promise<Buffer | null> {
	const row = await database()('attachment_files').where({ hash }).first('thumbnail');
	return (row?.thumbnail as Buffer | null) ?? null;
}
