export { STAGES, STAGE_NAMES, type RunningWork, type Stage, type StageStatus } from './stages';
