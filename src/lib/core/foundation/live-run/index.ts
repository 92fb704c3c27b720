export { currentsTold } from './agreement';
export { movementsOfLive } from './movements';
export {
	type FollowCommand,
	type FollowEvent,
	type Followed,
	type Following,
	type Happening,
	followRun,
	startFollowing
} from './follow-run';
export { type Duration, type PlannedRun, remainingS, toEndS } from './live-duration';
export { LIVE_KINDS, LIVE_NAMES, type LiveKind, type LiveLimits, type LivePhase, checkLivePlan } from './live-plan';
export { type LiveSample, type LiveState, probesAreOff, startLive } from './live-state';
export { takeSample } from './take-sample';
