export {
	ALL_GOOD,
	ANSWERS,
	ALSO_FELT,
	INSPECTED,
	SLEEVE_KINDS,
	TERMINAL_KINDS,
	VENT_KINDS,
	CANNOT_BE_LIFTED,
	isLifted,
	stopReasons,
	swelling,
	type Answer,
	type Inspected,
	type Seen,
	type Inspection,
	type StopReason,
	type TerminalKind
} from './inspection';
export { judgeInspections, type InspectedCell } from './judge-inspections';
export { judgePromisedTerminals, judgeUnlike, type ComparedCell } from './judge-unlike';
