export { type DriftSlope, driftSlopes, judgeGrowth } from './drift-growth';
export { judgeFade } from './judge-fade';
export {
	type BatteryContext,
	CHECK_CONTEXTS,
	type CheckContext,
	type CheckJudgement,
	type CountedCheck,
	type ServiceCheck,
	judgeCheck
} from './service-check';
export { judgeUnderLoad } from './under-load';
export { notJudged } from './service-check';
