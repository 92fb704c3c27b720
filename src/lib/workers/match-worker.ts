import { expose } from 'comlink';
import { matchCells, type MatchProblem, type MatchProgress, type MatchResult } from '$lib/core/matching';

/** What the page may ask of the matching worker. Cancel by ending the worker. */
export interface MatchWorker {
	match(problem: MatchProblem, timeLimitS: number, onProgress: (progress: MatchProgress) => void): MatchResult;
}

const worker: MatchWorker = {
	match: (problem, timeLimitS, onProgress) =>
		matchCells(problem, { timeLimitS, clockS: () => performance.now() / 1000, onProgress })
};

expose(worker);
