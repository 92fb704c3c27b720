export {
	type BatteryProof,
	type CheckState,
	PROVE_CHECKS,
	PROVE_CHECK_NAMES,
	type ProveCheck,
	type ProveRecords,
	proveState
} from './prove-state';
