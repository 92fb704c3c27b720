export { LOG_SD_V, fullestMoment, parseGroupLog } from './group-log';
export { misread } from './misread';
export {
	type ChargeSample,
	type Passings,
	apartByPassings,
	driftByPassings,
	groupPassings,
	narrowed
} from './passings';
export { LOADED_C_RATE, driftChange, snapshotBounds } from './snapshot';
export { type Read, whatWasRead } from './what-was-read';
export { SNAPSHOT_VERDICTS } from './verdicts';
