/** What was read at one moment, by the instruments of the running phase, calibration applied. */
export interface LiveSample {
	/** ms since 1970 by the instrument's clock. */
	atMs: number;
	/** At the supply's or load's own terminals (two-wire), or of the battery in a watch, V. */
	voltageV: number | null;
	/** A, positive into the battery. */
	currentA: number;
	/** A voltmeter at the cell's or row's own terminals, V. */
	cellV: number | null;
	/** Whether the output of the phase is on; null where there is none. */
	outputOn: boolean | null;
	/** The load has switched itself off at its cut-off. */
	cutOff: boolean;
	/** What the output says it is set to, V (limit or cut-off) and A (magnitude); missing where the instrument does not tell. */
	setTo?: { voltageV: number; currentA: number };
	/** The output's own current display before its calibration is taken out, A; missing where nothing is driven. */
	displayA?: number;
	/** What other instruments in the same circuit read, A, positive into the battery; missing where there is none. */
	alsoRead?: { name: string; currentA: number }[];
}

/** No load's display errs so much: a meter at the cells that reads further below the instrument touches nothing, V. */
const PROBES_OFF_V = 1;

/**
 * Whether the probes of a meter at the cells have slipped, by the instrument's own voltage; false where either was not read. A meter
 * that reads more than the instrument is never passed over: it may be the one that is right.
 */
export const probesAreOff = (cellV: number | null, voltageV: number | null): boolean =>
	cellV !== null && voltageV !== null && voltageV - cellV > PROBES_OFF_V;

export interface PhaseSums {
	startedMs: number;
	endedMs: number | null;
	/** Moved through the instrument, positive into the battery; gaps left out. */
	ah: number;
	wh: number;
	/** Time without samples, and the charge a steady current would have moved in it. */
	gapS: number;
	gapAh: number;
}

/** Where a live run stands; plain data, so that it can be kept and gone on with. */
export interface LiveState {
	phase: number;
	sums: PhaseSums[];
	last: LiveSample | null;
	/** Typical time between samples, ms; null until two have come. */
	usualStepMs: number | null;
	/** Since when the current has been at the tail. */
	tailSinceMs: number | null;
	/** Where the current began to fall in a charge, for the time left. */
	taperFrom: { atMs: number; currentA: number } | null;
	saidSoon: boolean;
	/** Shift of the running instrument's clock to the run's time, its latest own time, and our clock then, all ms; missing before the first sample. */
	clock?: { shiftMs: number; shownMs: number; heardMs: number };
	/** Samples in a row in which instruments disagreed about one current; -1 once a person has been told. Missing: none. */
	currentsApart?: number;
	/** A person has paused it, and its outputs were seen to go off: nothing flows until it goes on. */
	paused?: boolean;
	done: boolean;
}

export const startLive = (): LiveState => ({
	phase: 0,
	sums: [],
	last: null,
	usualStepMs: null,
	tailSinceMs: null,
	taperFrom: null,
	saidSoon: false,
	done: false
});
