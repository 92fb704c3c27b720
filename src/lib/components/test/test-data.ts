import type { ShownInstrument } from '$lib/components/instruments/instrument-choice';
import type { AtTemperature, RefusedRun } from '$lib/core/test/capacity';
import type { Clause, PictureBank, PictureCellType, PictureRun } from '$lib/core/picture';
import type { Protocol, Tick } from '$lib/core/test/clauses';
import type { WaitingForTest } from '$lib/core/receive/claim';
import type { SpotNote } from '$lib/core/test/run-notes';
import type { RunCorrection } from '$lib/core/test/capacities';
import type { Settings } from '$lib/core/foundation/units';
import type { StageVerdict } from '$lib/core/foundation/verdicts';

/** A cell under test as its page draws it. */
export interface ShownCapacity {
	cell: { id: number; label: string; plusTurned: boolean };
	run: PictureRun | null;
	capacityAh: number | null;
	sdAh: number | null;
	refused: RefusedRun | null;
	outcome: 'short' | 'meets' | 'unsure' | null;
	/** How its run was brought to standard; null where none gave a capacity. */
	correction: RunCorrection | null;
	/** What it gave at temperatures chosen on purpose. */
	held: AtTemperature[];
	/** What its run kept of the protocol. */
	strip: Tick[];
}

/** A discharge followed by notes, as it is stored. */
export interface StoredNotes {
	id: number;
	version: number;
	cellId: number;
	startedAt: string;
	currentA: number | null;
	powerW: number | null;
	cutoffV: number;
	notes: SpotNote[];
	lookAgainAt: string | null;
	/** Charged to its tail before; null: nobody has said. */
	startedFull: boolean | null;
	restS: number | null;
}

/** What the page of Test is given. */
export interface TestData {
	overview: { bank: PictureBank; cellType: PictureCellType | null };
	capacities: ShownCapacity[];
	instruments: ShownInstrument[];
	roomC: number | null;
	/** What a tester delivers, by the plan, A; null: it does not say. */
	testerA: number | null;
	/** Where the inverter of the plan switches off, V; null: it does not say. */
	inverterStopsV: number | null;
	/** Ways to run a cell that somebody has kept. */
	protocols: (Protocol & { id: number; version: number })[];
	/** What the maker promises, the least of it; null: nothing is written. */
	clause: Clause | null;
	/** Cells of the bank with the last day of their claim. */
	waitingForTest: WaitingForTest[];
	notedRuns: StoredNotes[];
	settings: Settings;
	verdicts: StageVerdict[];
}

/** What a form of it was answered. */
export type TestForm = { said?: string; fields?: Record<string, string>; typed?: Record<string, string> } | null;
