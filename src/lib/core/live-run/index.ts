export { LIVE_KINDS, checkLivePlan, type LiveKind, type LivePhase } from './live-plan';
export {
	SOON_S,
	remainingS,
	startLive,
	takeSample,
	type LiveEvent,
	type LiveEventKind,
	type LiveSample,
	type LiveState,
	type PhaseSums
} from './live-state';
