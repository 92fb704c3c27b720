export { tellsCharge, type ChargedRow, type LoggedReading, type Touch } from './touches';
export { readingsInOrder } from './readings-in-order';
export { judgeBalanceStage, methodStanding } from './balance';
export { ASSUMED_SUPPLY, balanceState, isCharging, type BalanceState, type EarlierSet } from './balance-state';
export { EDITION, failedStage, judgeBank, warmthRank, type BankJudgement, type SetApart } from './judge-bank';
export { buildState, judgeBuildStage, type BatteryBuild, type BuildRecords } from './build';
export { judgeLimitsStage, limitsState, type BatteryLimits, type LimitsState } from './limits';
export {
	buildRefusals,
	judgeMatchStage,
	matchState,
	type MatchCandidate,
	type MatchState,
	type PlacedGroup
} from './match';
export { EVIDENCE, undoneBy, type Evidence } from './lapses';
export { BATTERY_WORKS } from './picture';
export type {
	BankPicture,
	BatteryChange,
	BatteryWorkKind,
	PictureBalanceRun,
	PictureBank,
	PictureBattery,
	PictureCell,
	PictureCellType,
	PictureDelivery,
	PictureModule,
	PictureGroup,
	PictureReading,
	PictureRun,
	PlannedDraw
} from './picture';
export { CRATE_REST_S, bankSubject, isInService, placedCells } from './picture-parts';
export { bankPlanState, doneSteps, judgePlanStage, type OpenOrder, type PlanFactsOfBank } from './plan';
export {
	PROVE_CHECKS,
	PROVE_CHECK_NAMES,
	judgeProveStage,
	proveState,
	type BatteryProof,
	type CheckState,
	type ProveCheck,
	type ProveRecords
} from './prove';
export {
	deliveryClaim,
	deliveryTrays,
	judgedTrays,
	judgeReceiveStage,
	stoppedCells,
	type DeliveryTray,
	type JudgedTray
} from './receive';
export { rowCold, startRefusals, type StartRefusal } from './row-start';
export { statusOf, type StageJudgement } from './stage-judgement';
export {
	batteryService,
	judgeServeStage,
	ratedGroupAh,
	serveState,
	type BatteryService,
	type JudgedCheck,
	type ServiceHistory,
	type ServiceRow,
	type TestRow
} from './serve';
export { whereWasI, type WhereWasI } from './where-was-i';
export { heldCapacities } from './held-runs';
export { protocolStrip } from './protocol-strip';
export { bankCapacities, judgeTestStage, promisedTo, type CellCapacity, type Promised } from './test';
export type { RunCorrection } from './standard-runs';
export { waitingForTest } from './waiting-for-test';
export { modulesOf, type ModuleOfDelivery } from './modules';
