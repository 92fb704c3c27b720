export { balancerDays } from './balancer';
export { BOTTOM_ABOVE_V, reboundV } from './bottom';
export { followMethod, refuseEntry } from './follow';
export type { EntryField, MethodState, NextStep } from './method';
