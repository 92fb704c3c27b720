export type { CapacityObservation } from './fade-courses';
export { HORIZON_YEARS, fadeMeanwhile, projectFade, type FadeInput, type FadePoint, type FadeProjection } from './fade';
export {
	FADE_PRIOR,
	fadePosterior,
	weightedQuantiles,
	type FadeObservation,
	type FadePosterior
} from './fade-posterior';
export { calendarFactor, endIfKept, type KeptOtherwise } from './fade-what-if';
export { judgeFade } from './judge-fade';
export {
	CHECK_CONTEXTS,
	driftSlopes,
	judgeCheck,
	judgeGrowth,
	type BatteryContext,
	type CheckContext,
	type CheckJudgement,
	type CountedCheck,
	type DatedDrift,
	type DriftSlope,
	type ServiceCheck
} from './service-check';
export { judgeUnderLoad } from './under-load';
export { EFC_PER_YEAR, gainWorth, yearsToEnd, type Gain } from './gain-worth';
