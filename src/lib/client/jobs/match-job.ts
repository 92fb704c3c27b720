import { proxy, wrap, type Remote } from 'comlink';
import type { MatchProblem, MatchProgress, MatchResult, Wishes } from '$lib/core/match/groups';
import type { MatchWorker } from '$lib/workers/match-worker';

export interface MatchJob {
	/** The result; the best so far when it was cancelled, and rejects when there was none yet. */
	result: Promise<MatchResult>;
	cancel(): void;
}

/** Starts matching in a worker of its own. */
export function startMatching(
	problem: MatchProblem & Wishes,
	timeLimitS: number,
	onProgress: (progress: MatchProgress) => void
): MatchJob {
	const worker = new Worker(new URL('../../workers/match-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<MatchWorker>(worker) as Remote<MatchWorker>;
	let cancel = () => {};
	let best: MatchResult | null = null;
	const result = new Promise<MatchResult>((done, failed) => {
		cancel = () => {
			worker.terminate();
			if (best) done(best);
			else failed(new Error('cancelled'));
		};
		worker.onerror = () => failed(new Error('The matching worker could not run in this browser.'));
		remote
			// What a listener gives back stays here: page state cannot be sent to a worker.
			.match(
				problem,
				timeLimitS,
				proxy((progress: MatchProgress) => {
					best = progress.best ?? best;
					onProgress(progress);
				})
			)
			.then(done, failed)
			.finally(() => worker.terminate());
	});
	return { result, cancel: () => cancel() };
}
