export { type JointCapacity, type TestersApart, estimateTesters, jointCapacities } from './joint-capacity';
export { judgeResults } from './judge-results';
export { type NextRuns, type UndecidedCell, nextRuns } from './next-run';
export type { StandardRun } from './solve-testers';
