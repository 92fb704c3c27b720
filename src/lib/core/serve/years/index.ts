export { judgeFade } from './judge-fade';
export {
	CHECK_CONTEXTS,
	judgeCheck,
	type BatteryContext,
	type CheckContext,
	type CheckJudgement,
	type CountedCheck,
	type ServiceCheck
} from './service-check';
export { driftSlopes, judgeGrowth, type DatedDrift, type DriftSlope } from './drift-growth';
export { judgeUnderLoad } from './under-load';
