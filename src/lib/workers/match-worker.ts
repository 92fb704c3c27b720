import { expose } from 'comlink';
import {
	matchCells,
	type MatchProblem,
	type MatchProgress,
	type MatchResult,
	type Wishes
} from '$lib/core/match/groups';

/** What the page may ask of the matching worker. Cancel by ending the worker. */
export interface MatchWorker {
	match(problem: MatchProblem & Wishes, timeLimitS: number, onProgress: (progress: MatchProgress) => void): MatchResult;
}

const worker: MatchWorker = {
	match: (problem, timeLimitS, onProgress) =>
		matchCells(problem, { timeLimitS, clockS: () => performance.now() / 1000, onProgress })
};

expose(worker);
