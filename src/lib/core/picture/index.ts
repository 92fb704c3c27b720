export { BANK_USES, type BankUse } from './bank-use';
export { arrivedWith, capacityNear, chargeNow, chargeOfCell } from './charge-of-cells';
export { OUTPUT_CORNERS, type OutputCorner, STRATEGIES, type Strategy } from './choices';
export { CLAUSE_KINDS, type Clause, type ClauseKind } from './clause';
export { CORRECTIONS, type Correction, type FaultCode, type LogFault, type RestRead, type TestedLot } from './evidence';
export { cell, clause, delivery, picture, run } from './example-picture';
export {
	ALSO_FELT,
	ANSWERS,
	type Answer,
	INSPECTED,
	type Inspected,
	type Inspection,
	SLEEVE_KINDS,
	type Seen,
	type StopReason,
	TERMINAL_KINDS,
	type TerminalKind,
	VENT_KINDS
} from './inspection';
export { EVIDENCE, type Lapse, lapseVerdicts, undoneBy } from './lapses';
export { type MethodCell, type MethodEntry, type MethodRun, type MethodSetup, type MethodWorld } from './method-run';
export {
	type ModuleMake,
	cellsPerModule,
	makeOf,
	moduleCellLabels,
	placeInModule,
	positionsOfModule
} from './module-make';
export { cellsInModules, modulesOf } from './modules';
export { oncePerPicture } from './once-per-picture';
export {
	CRATE_REST_S,
	bankSubject,
	batterySubject,
	concernedCells,
	deliverySubject,
	groupSubjects,
	isInService,
	ownTypeOf,
	placedCells,
	readingSd,
	typeFigures,
	wantedCells
} from './picture-parts';
export {
	BATTERY_WORKS,
	type BankPicture,
	type BatteryChange,
	type BatteryWorkKind,
	type PictureBalanceRun,
	type PictureBank,
	type PictureBattery,
	type PictureCell,
	type PictureCellType,
	type PictureDelivery,
	type PictureModule,
	type PictureReading,
	type PictureRun,
	type PlannedDraw
} from './picture';
export { readingsInOrder } from './readings-in-order';
export { type StageJudgement, setAside, statusOf } from './stage-judgement';
export { type ChargedRow, type LoggedReading, type Touch, tellsCharge } from './touches';
export { SHARED_VERDICTS } from './verdicts';
export {
	METHODS_TO_CHOOSE,
	METHOD_KINDS,
	METHOD_NAMES,
	type ChosenMethod,
	type Method,
	type MethodKind
} from './methods';
