export { currentsTold } from './agreement';
export { deedsOfLive } from './deeds';
export {
	followRun,
	startFollowing,
	type Allows,
	type FollowCommand,
	type FollowEvent,
	type Followed,
	type Following,
	type Happening
} from './follow-run';
export { remainingS, toEndS, type Duration, type PlannedRun } from './live-duration';
export { LIVE_KINDS, LIVE_NAMES, checkLivePlan, type LiveKind, type LiveLimits, type LivePhase } from './live-plan';
export { probesAreOff, startLive, type LiveSample, type LiveState, type PhaseSums } from './live-state';
export { takeSample, type Arrival, type LiveEvent, type LiveEventKind } from './take-sample';
