export { type BatteryService, type ServiceRow, ratedGroupAh, serveState } from './serve-state';
