export { TOUCH_LIMIT_V, judgePlan, type PlannedBank, type PlannedCellType } from './judge-plan';
export { STAGES, STAGE_NAMES, type RunningWork, type Stage, type StageStatus } from './stages';
