export { balancerDays } from './balancer';
export { BOTTOM_ABOVE_V, reboundV } from './bottom';
export { followMethod, refuseEntry } from './follow';
export {
	ENTRY_FIELDS,
	METHOD_KINDS,
	type EntryField,
	type MethodCell,
	type MethodDue,
	type MethodEntry,
	type MethodKind,
	type MethodRun,
	type MethodSetup,
	type MethodState,
	type MethodWorld,
	type NextStep
} from './method';
