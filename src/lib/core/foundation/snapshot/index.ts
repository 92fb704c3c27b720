export { LOADED_C_RATE, driftChange, snapshotBounds, type Snapshot, type SnapshotBounds } from './snapshot';
export { LOG_SD_V, fullestMoment, parseGroupLog, type GroupLog } from './group-log';
export { misread } from './misread';
export { whatWasRead, type Read } from './what-was-read';
export {
	apartByPassings,
	driftByPassings,
	groupPassings,
	narrowed,
	type ChargeLog,
	type ChargeSample,
	type Passings
} from './passings';
