import type { Cells } from '../cell-model';
import type { Random } from '../../foundation/statistics';
import type { GuardedBattery, Wiring } from '../simulation';
import type { BenchQuantity, Calibration } from './instrument';
import type { LeadNodes } from './leads';
import type { Scenario } from './scenario';

/**
 * What a pair of clips or probes is on: a loose or built-in cell (index; plus and minus as printed, or turned), the whole row or
 * battery, a balance lead against battery negative or positive, the supply's own terminals.
 */
export type Place =
	{ cell: number; turned?: boolean } | { lead: number; positive?: boolean } | 'pack' | 'supply' | null;
export type Tool = 'supply' | 'load' | 'voltmeter' | 'ohmmeter';

export interface SupplySetting {
	voltageV: number;
	currentA: number;
	on: boolean;
}
export const LOAD_MODES = ['current', 'power', 'resistance'] as const;
export type LoadMode = (typeof LOAD_MODES)[number];
export interface LoadSetting {
	mode: LoadMode;
	currentA: number;
	powerW: number;
	resistanceOhm: number;
	/** The load switches itself off below this at its own terminals; 0: never. V. */
	cutoffV: number;
	on: boolean;
	/** It has switched itself off at the cut-off since it was last switched on. */
	cutOff: boolean;
}

/** Something that went wrong at the bench and cannot be taken back. */
export interface Incident {
	timeS: number;
	/** A cell joined the wrong way round, a joining at unequal charge, clips of an output crossed. */
	kind: 'reversed' | 'hard-join' | 'crossed';
	cells: number[];
	/** Peak current of a joining, A. */
	amperes: number | null;
}

/** Cells that are joined and what is clipped to them. */
export interface Joined {
	guarded: GuardedBattery;
	/** Cell indices, group by group. */
	groups: number[][];
}

/** The simulated bench: one world of cells that every instrument measures. */
export interface Bench {
	scenario: Scenario;
	cells: Cells;
	wiring: Wiring;
	/** The row or battery; null while all cells are loose. */
	joined: Joined | null;
	/** The balance leads of a battery in series are plugged into its BMS. */
	plugged: boolean;
	/** How the balance leads sit in their plug. */
	leadNodes: LeadNodes;
	/** Cells whose bar has been tightened since the crate was opened. */
	tightened: number[];
	clips: Record<Tool, Place>;
	supply: SupplySetting;
	load: LoadSetting;
	/** Seconds of the world since the crate was opened. */
	timeS: number;
	/** Counted by the shunt since it was last set, Ah into the battery. */
	shuntAh: number;
	calibration: Record<BenchQuantity, Calibration>;
	random: Random;
	incidents: Incident[];
}
