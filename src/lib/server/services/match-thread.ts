import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { checkProblem, type MatchProblem, type MatchResult } from '$lib/core/matching';
import type { MatchInput } from '$lib/input/compute';
import { ServiceError } from '../errors';

/** Seconds allowed when the caller names none. */
const DEFAULT_TIME_LIMIT_S = 10;
/** Matchings at once; more than the machine has cores only slows all of them. */
const MOST_AT_ONCE = 4;
let running = 0;

const threadFile = () => resolve(process.env.KIND_EMBER_TOOLS ?? 'build-tools', 'match-thread.js');

/** Matches on a thread of its own, so that the server stays responsive. Ends when `signal` says that nobody waits any more. */
export async function matchOnThread(input: MatchInput, signal: AbortSignal): Promise<MatchResult> {
	const { timeLimitS = DEFAULT_TIME_LIMIT_S, ...rest } = input;
	const problem = JSON.parse(JSON.stringify(rest)) as MatchProblem;
	checkProblem(problem);
	if (running >= MOST_AT_ONCE)
		throw new ServiceError(409, 'busy', `${MOST_AT_ONCE} matchings are already running. Try again when one has ended.`);
	running++;
	const thread = new Worker(threadFile(), { workerData: { problem, timeLimitS } });
	const stop = () => void thread.terminate();
	signal.addEventListener('abort', stop);
	try {
		return await new Promise<MatchResult>((done, failed) => {
			thread.once('message', done);
			thread.once('error', failed);
			thread.once('exit', () => failed(new ServiceError(409, 'cancelled', 'The matching was cancelled.')));
		});
	} finally {
		running--;
		signal.removeEventListener('abort', stop);
		await thread.terminate();
	}
}
