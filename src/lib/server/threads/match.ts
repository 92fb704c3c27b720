import { checkProblem, resolveWishes, type MatchProblem, type MatchResult, type Wishes } from '$lib/core/match/groups';
import type { MatchInput } from '$lib/input/compute';
import { onThread } from './thread';

/** Seconds allowed when the caller names none, and beyond the caller's own for the thread to start and answer. */
const DEFAULT_TIME_LIMIT_S = 10;
const GRACE_S = 30;

/** Matches on a thread; ends in the time given with the best it found, or when `signal` says that nobody waits any more. */
export function matchOnThread(input: MatchInput, signal: AbortSignal): Promise<MatchResult> {
	const { timeLimitS, ...rest } = input;
	const problem = JSON.parse(JSON.stringify(rest)) as MatchProblem & Wishes;
	checkProblem(resolveWishes(problem).problem);
	const limitS = timeLimitS ?? DEFAULT_TIME_LIMIT_S;
	const data = { problem, timeLimitS: limitS };
	return onThread({ file: 'match-thread', what: 'matchings', data, signal, mostS: limitS + GRACE_S });
}
