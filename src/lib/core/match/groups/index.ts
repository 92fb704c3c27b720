export { weakestToTheEnds } from './along-the-string';
export { type Wishes, resolveWishes } from './constraints';
export { type JudgedGroups, judgeMatch, tooFewCells } from './judge-match';
export {
	type MatchControl,
	type MatchProgress,
	type MatchResult,
	arrivalOrderSummary,
	costOfMove,
	matchCells,
	smallestGroupP05Ah
} from './match-cells';
export { BATCH_WISHES, type BatchWish, type MatchCell, type MatchProblem, checkProblem } from './problem';
export { type BuildableCell, type Refusal, refusalsOf } from './refusals';
export { type ReadCapacity, trueCapacities } from './true-capacities';
export { knownOf, whatGroupsHold } from './what-groups-hold';
