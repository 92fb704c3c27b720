import type { Knex } from 'knex';
import { database } from './connection';

/** Tries at a piece of work that another transaction stood in the way of. */
const MAX_TRIES = 12;
const LONGEST_WAIT_MS = 40;
/** Deadlock, and a row changed since this transaction first looked. */
const AGAIN = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD']);

/** Whether the database asks for the same work once more. */
const wantsAnotherTry = (error: unknown): boolean => AGAIN.has((error as { code?: string } | null)?.code ?? '');

/**
 * All or nothing. What is read after a lock is what stands then (read committed); a deadlock is tried again, so `work` may
 * run more than once and must touch nothing but the database. @param tx joins this transaction when given
 */
export async function inTransaction<T>(work: (tx: Knex.Transaction) => Promise<T>, tx?: Knex): Promise<T> {
	if (tx) return work(tx as Knex.Transaction);
	for (let tries = 1; ; tries++) {
		try {
			return await database().transaction(work, { isolationLevel: 'read committed' });
		} catch (error) {
			if (!wantsAnotherTry(error) || tries === MAX_TRIES) throw error;
			// Those who met part for different whiles.
			await new Promise((done) => setTimeout(done, 1 + Math.random() * LONGEST_WAIT_MS));
		}
	}
}
