import { checkProblem, type MatchProblem, type MatchResult } from '$lib/core/matching';
import type { MatchInput } from '$lib/input/compute';
import { onThread } from './thread';

/** Seconds allowed when the caller names none, and beyond the caller's own for the thread to answer. */
const DEFAULT_TIME_LIMIT_S = 10;
const GRACE_S = 30;

/** Matches on a thread of its own. Ends when `signal` says that nobody waits any more. */
export async function matchOnThread(input: MatchInput, signal: AbortSignal): Promise<MatchResult> {
	const { timeLimitS = DEFAULT_TIME_LIMIT_S, ...rest } = input;
	const problem = JSON.parse(JSON.stringify(rest)) as MatchProblem;
	checkProblem(problem);
	return onThread('match-thread', 'matchings', { problem, timeLimitS }, signal, timeLimitS + GRACE_S);
}
