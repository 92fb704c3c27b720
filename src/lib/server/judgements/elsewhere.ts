import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { ServiceError } from '../errors';
import { judgeAndKeep } from './refresh';

/** What the thread answers: the kind of an error is lost on the way. */
export type JudgedOnThread =
	{ kind: 'done' } | { kind: 'refused'; status: ServiceError['status']; code: string; message: string };

/** Banks that are judged at once; more wait for their turn. */
const THREADS = 2;

/** Where the built threads are; null: nothing is served here, and nobody is held up. */
const tools = process.env.KIND_EMBER_TOOLS ?? null;
let pool: Piscina | null = null;

/**
 * Judges a bank without holding the requests of others: on a thread of its own, with its own connections, where the application is served.
 * @throws ServiceError 404
 */
export async function judgeElsewhere(bankId: number): Promise<void> {
	if (tools === null) return judgeAndKeep(bankId);
	pool ??= new Piscina({ filename: resolve(tools, 'judge-thread.js'), minThreads: 1, maxThreads: THREADS });
	const answer = (await pool.run(bankId)) as JudgedOnThread;
	if (answer.kind === 'refused') throw new ServiceError(answer.status, answer.code, answer.message);
}
