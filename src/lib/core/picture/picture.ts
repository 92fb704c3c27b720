import type { OutputCorner, Strategy } from './choices';
import type { Chemistry } from '../foundation/chemistry';
import type { Correction, LogFault, TestedLot } from './evidence';
import type { Clause, ClauseKind } from './clause';
import type { Inspection, StopReason, TerminalKind } from './inspection';
import type { MethodRun, MethodWorld } from './method-run';
import type { Touch } from './touches';
import type { MeterAccuracy, Probe, Quantity, StoredCalibration } from '../foundation/reading';

/** The maker's figures of a cell type that judgements start from; null where the data sheet was not copied. */
export interface PictureCellType {
	name: string;
	chemistry: Chemistry;
	ratedAh: number;
	acResistanceMohm: number | null;
	chargeLimitV: number | null;
	dischargeLimitV: number | null;
	chargeColdC: number | null;
	chargeHotC: number | null;
	dischargeColdC: number | null;
	dischargeHotC: number | null;
	chargeCRate: number | null;
	dischargeCRate: number | null;
	massKg?: number | null;
	widthMm?: number | null;
	thicknessMm?: number | null;
	heightMm?: number | null;
	/** The maker's torque of a terminal, N·m; null: not said. */
	torqueNm?: number | null;
}

export interface PictureBank {
	id: number;
	name: string;
	chemistry: Chemistry;
	series: number;
	parallel: number;
	batteries: number;
	inServiceOn: string | null;
	createdAt: string;
	endFraction: number;
	rehearsal: boolean;
}

export interface PictureGroup {
	id: number;
	/** From the battery negative, from 1. */
	position: number;
	/** Cells that sit in it now. */
	cellIds: readonly number[];
}

export interface PictureBattery {
	id: number;
	number: number;
	name: string | null;
	kind: 'built' | 'ready-made';
	series: number;
	parallel: number;
	joins: 'parallel' | 'series';
	/** In use since; null: since its bank is. */
	newOn: string | null;
	bmsA: number | null;
	bmsResolutionV: number | null;
	/** Cells in series its BMS is made for; null: nobody said. */
	bmsLeastCells: number | null;
	bmsMostCells: number | null;
	fuseA: number | null;
	cableA: number | null;
	/** Drawn after the load’s cut-off, A. */
	standbyA: number | null;
	ratedAh: number | null;
	ratedWh: number | null;
	nominalV: number | null;
	mostInSeries: number | null;
	/** How it lies, for its drawings; null: as usual. */
	rows: number | null;
	squareBlocks: boolean | null;
	outputsAt: OutputCorner | null;
	/** Why it is built although something spoke against it; null: nobody wrote it. */
	builtDespite: string | null;
	groups: readonly PictureGroup[];
}

/** The latest reading of one quantity of a cell by itself, or of its row. */
export interface PictureReading {
	id: number;
	version: number;
	value: number;
	sd: number;
	rawText: string;
	restS: number | null;
	takenAt: string;
	/** How far off that may be, s; null: exact. */
	takenDoubtS: number | null;
	/** Corrected by a calibration of its meter: `sd` is of that. */
	calibrated?: boolean;
	/** How a resistance was read; null or missing: nobody said. */
	probe?: Probe | null;
	/** What it was read with; null: the meter of the settings. */
	meter: string | null;
}

export interface PictureRun {
	id: number;
	version: number;
	source: 'log' | 'hand' | 'live';
	capacityAh: number;
	sdAh: number | null;
	energyWh: number | null;
	/** What it was discharged with: A (out: negative) or W. */
	currentA: number | null;
	powerW: number | null;
	/** Between charge and discharge, s; null or missing: nobody said. */
	restS?: number | null;
	/** Where it was ended, V; null: at the cell's limit. */
	cutoffV: number | null;
	/** Null: nobody said. */
	startedFull: boolean | null;
	cRate: number | null;
	temperatureC: number | null;
	/** Run at this temperature on purpose, °C; null or missing: at that of the room. */
	heldAtC?: number | null;
	testedAt: string;
	tester: string | null;
	/** What the instrument that counted it is known to show too much, as a share; null or missing: nobody knows. */
	shownTooMuch?: number | null;
	/** Of both leads of a two-wire tester, Ω; null or missing: four wires, or nobody said. */
	leadOhm?: number | null;
	/** Corrections that are not to be made of it. */
	correctionsOff?: readonly Correction[] | null;
	fileName: string | null;
	faults: LogFault[] | null;
}

/** A cell that was charged full and left alone, to be charged again. */
export interface PictureStorageTest {
	chargedAt: string;
	dueOn: string;
	/** What it took, Ah, and one sd; null while it stands. */
	refillAh: number | null;
	refillSdAh: number | null;
	refilledAt: string | null;
}

/** A cell in play: placed in this bank, or a candidate that sits nowhere else. */
export interface PictureCell {
	id: number;
	label: string;
	deliveryId: number;
	position: number;
	batch: string | null;
	/** As scanned or typed; null: not read. */
	code: string | null;
	/** Year and month printed on it, `2024-05`; null or missing: none was typed. */
	printedMonth?: string | null;
	/** Other cells of the stock that bear the same code. */
	codeTwins: readonly { id: number; label: string }[];
	/** The latest; null: nobody has looked at it. */
	inspection: Inspection | null;
	/** The latest test of what it loses by itself; null: none. */
	storageTest: PictureStorageTest | null;
	/** Its plus is on the other side than printed, as somebody recorded. */
	plusTurned: boolean;
	readings: Partial<Record<Quantity, PictureReading>>;
	/** What changed its charge, first first; none: it is as it came. */
	touches: readonly Touch[];
	/** The last rest voltage before the first of them; null: none was read. */
	arrivalRead: PictureReading | null;
	/** The latest voltage read while it was joined in parallel; never one of its own. */
	joined: PictureReading | null;
	/** At room temperature, and those at another one on purpose (missing: none); in the order they were made. */
	runs: readonly PictureRun[];
	heldRuns?: readonly PictureRun[];
	/** Group of this bank it sits in; null while it is loose. */
	groupId: number | null;
}

export interface PictureDelivery {
	id: number;
	name: string;
	receivedOn: string;
	supplier: string | null;
	orderedOn: string | null;
	promisedOn: string | null;
	/** Of one cell, and of all, in the currency of the settings. */
	cellPrice: number | null;
	shipping: number | null;
	promisedGrade: string | null;
	promisedTerminals: TerminalKind | null;
	promisedAh: number | null;
	/** What its cells are by the bank they were ordered for, where that is another type than this bank's; null or missing: the same. */
	ownType?: PictureCellType | null;
	promisedClause: ClauseKind | null;
	promisedResistanceMohm: number | null;
	/** The person’s own line for that grade. */
	gradeCapacityAh: number | null;
	gradeResistanceMohm: number | null;
	promisedProducedOn: string | null;
	claimDays: number | null;
	used: boolean | null;
	/** Came as modules of so many groups in series, of so many cells each; null or missing: as single cells. */
	moduleSeries?: number | null;
	moduleParallel?: number | null;
}

export interface PictureBalanceRun {
	id: number;
	version: number;
	supplyA: number;
	leadOhm: number;
	setV: number | null;
	/** Its supply is on only so many hours a day; null or missing: day and night. */
	hoursADay?: number | null;
	/** The cells of its row, and the rest voltage that told the charge of each as it began; empty where nobody said. */
	cells: readonly { id: number; label: string; rest: PictureReading | null }[];
	startedAt: string | null;
	endedAt: string | null;
	createdAt: string;
	checklist: Record<string, boolean> | null;
}

/** What a person did to a built battery and wrote down: it undoes what was proved before. */
export const BATTERY_WORKS = ['lead-moved', 'bms-changed', 'joint-opened'] as const;
export type BatteryWorkKind = (typeof BATTERY_WORKS)[number];

/** Something in a battery that is no longer as it was. */
export interface BatteryChange {
	batteryId: number;
	at: string;
	kind: 'cell-exchanged' | 'cell-taken-out' | BatteryWorkKind;
	/** Groups of a cell, leads, or joints, by position; empty: the whole battery. */
	positions: readonly number[];
	/** Labels of the cell that was taken out, and of what is in its place; null where none is. */
	out: string | null;
	into: string | null;
}

/** By the loads of the plan, or what its inverter can give: W from the batteries, and where that inverter stops by itself, V; null: not said. */
export interface PlannedDraw {
	peakW: number;
	/** With the largest start on top of it; missing: nobody told. */
	surgeW?: number;
	cutoffV: number | null;
}

/** What was read and seen of a module of a delivery. */
export interface PictureModule {
	id: number;
	version: number;
	deliveryId: number;
	/** Which of the delivery, from 1. */
	number: number;
	/** Over its terminals, and over each group from its minus, V; null: not read. */
	voltageV: number | null;
	groupsV: readonly (number | null)[] | null;
	/** What was seen from outside that stops it. */
	seen: readonly StopReason[] | null;
	/** When it was taken apart; null: it is in one piece. */
	openedOn: string | null;
}

/** What all stages of a bank share, read once. Nothing in it grows with history but the runs of its cells. */
export interface BankPicture {
	bank: PictureBank;
	cellType: PictureCellType | null;
	/** What its maker promises. */
	clauses: readonly Clause[];
	currency: string;
	meters: Record<Quantity, MeterAccuracy>;
	/** Cells of this type that came for other banks and were run: a lot each and tester; missing: none. */
	earlierLots?: readonly TestedLot[];
	/** What testers were held against, in Ah. */
	testerCalibrations: readonly StoredCalibration[];
	/** Those with cells in play, oldest first. */
	deliveries: readonly PictureDelivery[];
	/** By delivery and then tray position. */
	cells: readonly PictureCell[];
	/** Modules of its deliveries that something is written down of; missing: none. */
	modules?: readonly PictureModule[];
	/** By number. */
	batteries: readonly PictureBattery[];
	limitPlan: { id: number; version: number; strategy: Strategy } | null;
	/** The latest. */
	balanceRun: PictureBalanceRun | null;
	/** The latest that goes step by step; null: none. */
	methodRun: { run: MethodRun; world: MethodWorld } | null;
	/** What may draw from the batteries together, by its plan; null or missing: nobody has written anything down. */
	plannedDraw?: PlannedDraw | null;
	/** The battery has been read or tested in service. */
	wasChecked: boolean;
	/** The latest capacity test of each battery as a whole. */
	batteryTests: readonly { battery: number; capacityAh: number; sdAh: number; testedAt: string }[];
	/** What was exchanged, taken out, moved or opened in its batteries; the latest of each group and of each kind of work. */
	changes: readonly BatteryChange[];
}
