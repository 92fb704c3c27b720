import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { CoreError } from '$lib/core/foundation/errors';
import type { Pace } from '$lib/workers/step-back';
import type { ThreadAnswer } from '$lib/workers/thread-answer';
import { ServiceError } from '../errors';

/** Pieces of work of one kind at once; more only make all of them wait. */
const MAX_AT_ONCE = 4;
/**
 * Threads of each pace together, so that no kind of work waits for another. They step back behind the server's own, and a thread that has
 * stepped back far does not come forward again: the two paces share none.
 */
const THREADS: Record<Pace, number> = { brief: 8, long: 12 };
const IDLE_MS = 20_000;

const pools = new Map<Pace, Piscina>();
function threads(pace: Pace): Piscina {
	const pool = pools.get(pace) ?? new Piscina({ maxThreads: THREADS[pace], minThreads: 0, idleTimeout: IDLE_MS });
	pools.set(pace, pool);
	return pool;
}
const running = new Map<string, number>();

export interface ThreadWork {
	/** Name of the built thread. */
	file: string;
	/** Plural word for the work, in messages. */
	what: string;
	data: unknown;
	/** Fires when nobody waits any more. */
	signal: AbortSignal;
	/** Seconds after which it is given up. */
	mostS: number;
	/** Buffers of `data` that go over instead of being copied. */
	transfer?: ArrayBuffer[];
	/** Pieces of this work at once before the next is turned away. */
	mostAtOnce?: number;
	/** As its thread says it steps back; missing: long. */
	pace?: Pace;
}

/**
 * Does one piece of work on a thread, so that the server stays responsive.
 * @throws CoreError when the input is refused; ServiceError 409 when too many run or it was cancelled, 422 when it took too long
 */
export async function onThread<Result>(work: ThreadWork): Promise<Result> {
	const { file, what, data, signal, mostS, transfer, mostAtOnce = MAX_AT_ONCE, pace = 'long' } = work;
	const others = running.get(file) ?? 0;
	if (others >= mostAtOnce)
		throw new ServiceError(409, 'busy', `${mostAtOnce} ${what} are already running. Try again when one has ended.`);
	running.set(file, others + 1);
	const late = AbortSignal.timeout(mostS * 1000);
	try {
		const filename = resolve(process.env.KIND_EMBER_TOOLS ?? 'build-tools', `${file}.js`);
		const answer = (await threads(pace).run(data, {
			filename,
			signal: AbortSignal.any([signal, late]),
			transferList: transfer
		})) as ThreadAnswer<Result>;
		if (answer.kind === 'refused') throw new CoreError(answer.code, answer.path, answer.message);
		return answer.result;
	} catch (error) {
		if (late.aborted)
			throw new ServiceError(
				422,
				'too-long',
				`This took longer than ${mostS} s and was stopped. Ask for less at once.`
			);
		if (signal.aborted) throw new ServiceError(409, 'cancelled', `One of the ${what} was cancelled.`);
		throw error;
	} finally {
		running.set(file, running.get(file)! - 1);
	}
}
