import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { ServiceError } from '../errors';

/** Threads at once of each kind; more than the machine has cores only slows all of them. */
const MOST_AT_ONCE = 4;
const running = new Map<string, number>();

/**
 * Runs one piece of work on a thread of its own, so that the server stays responsive.
 * @param file name of the built thread; @param what plural word for the work, in messages
 * @param signal ends the thread when nobody waits any more; @param mostS seconds after which it is given up
 * @throws ServiceError 409 when too many run or it was cancelled, 422 when it took too long
 */
export async function onThread<Answer>(
	file: string,
	what: string,
	data: unknown,
	signal: AbortSignal,
	mostS: number
): Promise<Answer> {
	const others = running.get(file) ?? 0;
	if (others >= MOST_AT_ONCE)
		throw new ServiceError(409, 'busy', `${MOST_AT_ONCE} ${what} are already running. Try again when one has ended.`);
	running.set(file, others + 1);
	const folder = process.env.KIND_EMBER_TOOLS ?? 'build-tools';
	const thread = new Worker(resolve(folder, `${file}.js`), { workerData: data });
	const stop = () => void thread.terminate();
	signal.addEventListener('abort', stop);
	let late = false;
	const alarm = setTimeout(() => {
		late = true;
		stop();
	}, mostS * 1000);
	try {
		return await new Promise<Answer>((done, failed) => {
			thread.once('message', done);
			thread.once('error', failed);
			thread.once('exit', () =>
				failed(
					late
						? new ServiceError(
								422,
								'too-long',
								`This took longer than ${mostS} s and was stopped. Ask for less at once.`
							)
						: new ServiceError(409, 'cancelled', `One of the ${what} was cancelled.`)
				)
			);
		});
	} finally {
		clearTimeout(alarm);
		running.set(file, running.get(file)! - 1);
		signal.removeEventListener('abort', stop);
		await thread.terminate();
	}
}
