import type { MethodKind } from './methods';
import type { Chemistry } from '../foundation/chemistry';
import type { Passings } from '../foundation/snapshot';
import type { Subject } from '../foundation/verdicts';

/** A step that was done, as it was written down. */
export interface MethodEntry {
	id: number;
	version: number;
	cellId: number | null;
	/** Of a ready-made battery: what it is called. */
	unit: string | null;
	step: string;
	doneAt: string;
	voltageV: number | null;
	currentA: number | null;
	ah: number | null;
	wh: number | null;
	volts: readonly number[] | null;
	/** Taken from the log of a charge, with the volts of one of its lines. */
	passings?: Passings | null;
	asked: boolean | null;
	words: string | null;
}

/** What is at hand, as it was said at the start; what is missing is as usual. */
export interface MethodSetup {
	/** Of a load for single cells, or a supply for the string, A. */
	currentA?: number | null;
	/** Of a supply for one cell, or a row of them, A. */
	cellSupplyA?: number | null;
	/** Of the balancer. */
	balancerA?: number | null;
	startV?: number | null;
	/** Below this it no longer works, V; as it starts when missing. */
	stopV?: number | null;
	triggerV?: number | null;
	hoursADay?: number | null;
	/** What parts them meanwhile, Ah a day. */
	growthAhADay?: number | null;
	/** Of one lead of it, Ω. */
	leadOhm?: number | null;
	/** What it is made for. */
	madeFor?: Chemistry | null;
	leastSeries?: number | null;
	mostSeries?: number | null;
	/** Largest cell it is made for, Ah, by its maker. */
	mostCellAh?: number | null;
	/** Ready-made batteries, by name, and what each is. */
	units?: readonly string[] | null;
	unitAh?: number | null;
	unitCells?: number | null;
}

export interface MethodCell {
	id: number;
	label: string;
	capacityAh: number;
}

/** A balance by one of the methods, from the first step to the last. */
export interface MethodRun {
	id: number;
	version: number;
	bankId: number;
	method: MethodKind;
	/** In the order they are taken in. */
	cells: readonly MethodCell[];
	setup: MethodSetup;
	startedAt: string;
	endedAt: string | null;
	/** In the order they were done. */
	entries: readonly MethodEntry[];
}

/** What the bank says to it. */
export interface MethodWorld {
	chemistry: Chemistry;
	/** The maker’s; the chemistry’s where nobody copied them. */
	chargeLimitV: number;
	dischargeLimitV: number;
	series: number;
	/** Of a group, Ah. */
	groupAh: number;
	cellAh: number;
	/** One sd of the meter at such voltages, V. */
	meterSdV: number;
	resistanceOhm: number | null;
	subject: Subject;
}
