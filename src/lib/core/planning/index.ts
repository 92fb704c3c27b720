export { TOUCH_LIMIT_V, judgePlan, type PlannedBank, type PlannedCellType } from './judge-plan';
export { mayFallInNight, startForDaytimeEnd, type WakingHours } from './waking-hours';
