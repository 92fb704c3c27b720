export {
	ALL_GOOD,
	ANSWERS,
	INSPECTED,
	SLEEVE_KINDS,
	TERMINAL_KINDS,
	VENT_KINDS,
	stopReasons,
	swelling,
	type Answer,
	type Inspected,
	type Inspection,
	type StopReason,
	type TerminalKind
} from './inspection';
export { judgeInspections, type InspectedCell } from './judge-inspections';
export { judgePromisedTerminals, judgeUnlike, type ComparedCell } from './judge-unlike';
