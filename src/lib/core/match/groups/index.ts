export { judgeMatch, tooFewCells, type JudgedGroups } from './judge-match';
export {
	arrivalOrderSummary,
	costOfMove,
	matchCells,
	smallestGroupP05Ah,
	type MatchControl,
	type MatchProgress,
	type MatchResult,
	type MatchSummary
} from './match-cells';
export {
	BATCH_WISHES,
	checkProblem,
	costOf,
	describeGroups,
	type BatchWish,
	type MatchCell,
	type MatchGroup,
	type MatchProblem
} from './problem';

export { resolveWishes, type Lock, type Wishes } from './constraints';
export { BUILD_LIMITS, REFUSALS, refusalsOf, type BuildableCell, type Refusal, type RefusalReason } from './refusals';
export { weakestToTheEnds } from './along-the-string';
export { knownOf, whatGroupsHold } from './what-groups-hold';
export { trueCapacities, type ReadCapacity } from './true-capacities';
