export { type BatteryBuild, type BuildRecords, buildState } from './build-state';
