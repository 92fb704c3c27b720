import { announce } from '$lib/client/entry/announce';
import { startMatching, type MatchJob } from '$lib/client/jobs/match-job';
import type { MatchProblem, MatchProgress, MatchResult, Wishes } from '$lib/core/match/groups';

const TIME_LIMIT_S = 8;
const NOTHING_YET: MatchProgress = { stage: 'arranging', fraction: 0, smallestGroupAh: 0, spreadAh: 0 };

/** A search for groups, as the page follows it. */
export class MatchSearch {
	/** Null: nothing is searched now. */
	progress = $state.raw<MatchProgress | null>(null);
	/** Of the latest search. */
	result = $state.raw<MatchResult | null>(null);
	#job: MatchJob | null = null;

	/** The best found, also of a search that was ended; null where it was ended before anything was. */
	async run(problem: MatchProblem & Wishes): Promise<MatchResult | null> {
		this.progress = NOTHING_YET;
		const job: MatchJob = startMatching(problem, TIME_LIMIT_S, (progress) => {
			// One that was on its way when the search ended tells nothing any more.
			if (this.#job === job) this.progress = progress;
		});
		this.#job = job;
		try {
			this.result = await job.result;
			if (this.result.cancelled) announce('Ended. This is the best found until then.');
			return this.result;
		} catch (error) {
			const cancelled = error instanceof Error && error.message === 'cancelled';
			announce(cancelled ? 'Cancelled. Nothing was changed.' : String(error));
			return null;
		} finally {
			this.#job = null;
			this.progress = null;
		}
	}

	cancel(): void {
		this.#job?.cancel();
	}
}
