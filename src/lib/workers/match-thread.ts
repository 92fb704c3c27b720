import { parentPort, workerData } from 'node:worker_threads';
import { matchCells, type MatchProblem } from '$lib/core/matching';

/** Server-side thread: one matching problem in, one result out; ended from outside to cancel. */
const { problem, timeLimitS } = workerData as { problem: MatchProblem; timeLimitS: number };
parentPort!.postMessage(matchCells(problem, { timeLimitS, clockS: () => performance.now() / 1000 }));
