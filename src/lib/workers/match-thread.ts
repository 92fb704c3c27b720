import { matchCells, type MatchProblem, type MatchResult, type Wishes } from '$lib/core/match/groups';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

stepBack();

/** Server-side thread: one matching problem in, the best found in its time out. */
export default ({
	problem,
	timeLimitS
}: {
	problem: MatchProblem & Wishes;
	timeLimitS: number;
}): ThreadAnswer<MatchResult> =>
	answered(() => matchCells(problem, { timeLimitS, clockS: () => performance.now() / 1000 }));
