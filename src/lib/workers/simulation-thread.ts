import { setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { CoreError } from '$lib/core/shared';
import { simulate, type SimulationInput, type SimulationResult } from '$lib/core/simulation';

export type SimulationAnswer =
	{ kind: 'result'; result: SimulationResult } | { kind: 'refused'; code: string; path: string; message: string };

function answer(input: SimulationInput): SimulationAnswer {
	try {
		return { kind: 'result', result: simulate(input) };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return { kind: 'refused', code: error.code, path: error.path, message: error.message };
	}
}

/** Steps back behind the server's own thread; on Linux this is the calling thread's alone. */
const MODEST = 10;
if (process.platform === 'linux') setPriority(MODEST);

/** Server-side thread: one simulation in, one answer out; ended from outside to cancel. */
parentPort!.postMessage(answer(workerData as SimulationInput));
