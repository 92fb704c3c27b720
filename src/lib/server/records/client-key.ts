import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { database } from '../db/connection';
import { ServiceError } from '../errors';

/** The same content gives the same text, whatever the order it was written in. */
function canonical(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(canonical);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([key, v]) => [key, canonical(v)])
	);
}

/** What a request asks for, apart from its key. */
export function requestHash(body: object): Buffer {
	const { clientKey: _, ...rest } = body as Record<string, unknown>;
	return createHash('sha256')
		.update(JSON.stringify(canonical(rest)))
		.digest();
}

/**
 * Takes a key for a new record, so that whoever sends the same again gets the same record. A second request waits until the
 * first has ended either way. @returns the record it has already, null when it is free
 * @throws ServiceError 409 when the key came with another content before
 */
export async function takeKey(kind: string, clientKey: string, hash: Buffer, tx: Knex): Promise<number | null> {
	const key = Buffer.from(clientKey, 'utf8');
	const taken = await tx('client_keys')
		.insert({ kind, client_key: key, request_hash: hash, created_at: new Date() })
		.then(
			() => true,
			(error: { code?: string }) => {
				if (error.code !== 'ER_DUP_ENTRY') throw error;
				return false;
			}
		);
	if (taken) return null;
	const known = await tx('client_keys').where({ kind, client_key: key }).forUpdate().first();
	const sameRequest = known.request_hash === null || hash.equals(known.request_hash as Buffer);
	if (!sameRequest)
		throw new ServiceError(
			409,
			'key-reused',
			'This clientKey came before with another content, which was stored. This one was not: send it with a key of its own.'
		);
	return Number(known.record_id);
}

/** Ties a key to the record it made. */
export const assignKey = (kind: string, clientKey: string, recordId: number, tx: Knex): Promise<unknown> =>
	Promise.resolve(
		tx('client_keys')
			.where({ kind, client_key: Buffer.from(clientKey, 'utf8') })
			.update({ record_id: recordId })
	);

/** The record a key stands for already; null when it is free. */
export async function keyedRecord(kind: string, clientKey: string): Promise<number | null> {
	const known = await database()('client_keys')
		.where({ kind, client_key: Buffer.from(clientKey, 'utf8') })
		.first('record_id');
	return known ? Number(known.record_id) : null;
}
