import type { InstrumentKind } from '$lib/core/foundation/reading';

export type { InstrumentKind };

/** One reading. What an instrument does not measure is null. Current is positive into the battery. */
export interface InstrumentReading {
	/** By the instrument's own clock where it has one, else ours; ms since 1970. */
	atMs: number;
	voltageV: number | null;
	currentA: number | null;
	resistanceOhm: number | null;
	/** Group 1 first. */
	groupV: number[] | null;
	temperatureC: number | null;
	countedAh: number | null;
	/** Supply or load: whether its output is on. */
	on: boolean | null;
	/** Load: it has switched itself off at its cut-off. */
	cutOff: boolean | null;
	/** Supply or load: what it says it is set to, V and A (magnitude); missing where it does not tell. */
	setTo?: OutputSetting;
	/** BMS: whether it lets charge and discharge through. */
	allows: { charge: boolean; discharge: boolean } | null;
}

/** What a supply or load is set to. Sizes: the load's current is positive too. */
export interface OutputSetting {
	voltageV: number;
	currentA: number;
}

export interface Identity {
	/** What the instrument calls itself. */
	text: string;
	/** It tells the time of its readings itself. */
	ownClock: boolean;
	/** It can switch its output off by itself when nobody speaks to it. */
	watchdog: boolean;
}

/** One connected instrument. Every method throws InstrumentError. */
export interface Driver {
	identify(): Promise<Identity>;
	read(): Promise<InstrumentReading>;
	/** Sets the limits (supply) or current and cut-off (load), and the watchdog; does not switch on. */
	set?(setting: OutputSetting, watchdogS: number): Promise<void>;
	switchOutput?(on: boolean): Promise<void>;
	close(): void;
}

export const NO_READING: Omit<InstrumentReading, 'atMs'> = {
	voltageV: null,
	currentA: null,
	resistanceOhm: null,
	groupV: null,
	temperatureC: null,
	countedAh: null,
	on: null,
	cutOff: null,
	allows: null
};
