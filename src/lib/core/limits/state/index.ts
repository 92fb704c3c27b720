export { type BatteryLimits, type LimitsState, limitsState } from './limits-state';
export { bmsCells, wiringVerdicts } from './wiring';
