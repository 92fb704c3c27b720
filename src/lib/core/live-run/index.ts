export { LIVE_KINDS, checkLivePlan, type LiveKind, type LiveLimits, type LivePhase } from './live-plan';
export {
	remainingS,
	startLive,
	takeSample,
	type LiveEvent,
	type LiveEventKind,
	type LiveSample,
	type LiveState,
	type PhaseSums
} from './live-state';
