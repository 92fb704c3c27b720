import type { LogFault } from '$lib/core/capacity-run';
import type {
	BalanceReadingInput,
	BalanceRunInput,
	BankInput,
	CapacityTestInput,
	CellInput,
	CellTypeInput,
	DeliveryInput,
	LimitPlanInput,
	NoteInput,
	PlacementInput,
	ReadingInput,
	ServiceCheckInput,
	SettingsInput
} from '$lib/input/records';
import type { InstrumentInput } from '$lib/input/live';
import type { LiveKind, LivePhase, LiveState } from '$lib/core/live-run';
import type { Scenario } from '$lib/core/bench';
import type { Finding, RehearsalJudgement } from '$lib/core/rehearsal';
import { createRepository, type Recorded } from './repository';

/** Stored records: the input with every optional field present (null when missing), and what all records carry. */
type Stored<T> = { [K in keyof T]-?: undefined extends T[K] ? Exclude<T[K], undefined> | null : T[K] } & Recorded;

export type CellType = Stored<CellTypeInput> & { rehearsal: boolean };
export type Bank = Stored<BankInput> & { rehearsal: boolean };
export type Delivery = Stored<DeliveryInput>;
export type Cell = Stored<CellInput>;
export type Reading = Stored<Omit<ReadingInput, 'takenAt'>> & {
	takenAt: string;
	value: number;
	rawUnit: string;
	sd: number;
};
export type Run = Recorded & {
	cellId: number;
	source: 'log' | 'hand' | 'live';
	capacityAh: number;
	sdAh: number | null;
	energyWh: number | null;
	meanVoltageV: number | null;
	currentA: number | null;
	cRate: number | null;
	durationS: number | null;
	endVoltageV: number | null;
	temperatureC: number | null;
	cutoffV: number | null;
	testedAt: string;
	tester: string | null;
	fileName: string | null;
	faults: LogFault[] | null;
};
export type Placement = Stored<Omit<PlacementInput, 'placedAt'>> & { placedAt: string };
export type BalanceRun = Stored<BalanceRunInput>;
export type BalanceReading = Stored<BalanceReadingInput>;
export type LimitPlan = Stored<LimitPlanInput>;
export type ServiceCheckRow = Stored<ServiceCheckInput>;
export type CapacityTest = Stored<CapacityTestInput>;
export type Note = Stored<Omit<NoteInput, 'writtenAt'>> & { writtenAt: string };
export type SettingsRow = Stored<SettingsInput>;

export type Instrument = Stored<Omit<InstrumentInput, 'accuracyPercent' | 'accuracyFixed'>> & {
	bundled: boolean;
	accuracyPercent: number;
	/** V, Ω or A, by kind. */
	accuracyFixed: number;
};
/** Which instrument does what, with the calibration it had when the run began. */
export type LiveRole = 'supply' | 'load' | 'voltmeter' | 'bms' | 'shunt';
export interface LiveInstrument {
	role: LiveRole;
	id: number;
	name: string;
	voltageOffsetV: number;
	currentGainPercent: number;
}
export type LiveRunState = 'planned' | 'running' | 'waiting' | 'ended';
export type LiveRun = Recorded & {
	bankId: number;
	cellId: number | null;
	balanceRunId: number | null;
	runId: number | null;
	kind: LiveKind;
	state: LiveRunState;
	instruments: LiveInstrument[];
	phases: LivePhase[];
	intervalMs: number;
	deadManS: number;
	expectedAh: number | null;
	temperatureC: number | null;
	startedAt: string | null;
	endedAt: string | null;
	endedBy: string | null;
	progress: LiveState;
};
export type LiveEventRow = Recorded & {
	liveRunId: number;
	happenedAt: string;
	kind: string;
	message: string;
	needsPerson: boolean;
	seenAt: string | null;
};
export type Rehearsal = Recorded & {
	bankId: number;
	scenario: Scenario;
	saved: string | null;
	conclusions: Finding[] | null;
	judgement: RehearsalJudgement | null;
	revealedAt: string | null;
};

export const cellTypes = createRepository<CellType>('cell_types', 'cell type', 'name');
export const banks = createRepository<Bank>('banks', 'bank', 'id');
export const deliveries = createRepository<Delivery>('deliveries', 'delivery', 'receivedOn');
export const cells = createRepository<Cell>('cells', 'cell', 'position');
export const readings = createRepository<Reading>('readings', 'reading', 'takenAt');
export const runs = createRepository<Run>('runs', 'capacity run', 'testedAt', ['faults']);
export const placements = createRepository<Placement>('placements', 'placement', 'position');
export const balanceRuns = createRepository<BalanceRun>('balance_runs', 'balance', 'id', ['checklist']);
export const balanceReadings = createRepository<BalanceReading>('balance_readings', 'balance reading', 'readAt');
export const limitPlans = createRepository<LimitPlan>('limit_plans', 'limit plan', 'id');
export const serviceChecks = createRepository<ServiceCheckRow>('service_checks', 'service check', 'checkedAt', [
	'groupVoltagesV'
]);
export const capacityTests = createRepository<CapacityTest>('capacity_tests', 'capacity test', 'testedAt');
export const notes = createRepository<Note>('notes', 'note', 'writtenAt');
export const settingsRows = createRepository<SettingsRow>('settings', 'settings', 'id');
export const instruments = createRepository<Instrument>('instruments', 'instrument', 'id');
export const liveRuns = createRepository<LiveRun>('live_runs', 'live run', 'id', ['instruments', 'phases', 'progress']);
export const liveEvents = createRepository<LiveEventRow>('live_events', 'event', 'happenedAt');
export const rehearsals = createRepository<Rehearsal>('rehearsals', 'rehearsal', 'id', [
	'scenario',
	'conclusions',
	'judgement'
]);
