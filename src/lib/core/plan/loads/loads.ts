import { least, max } from 'd3-array';
import { ampacityA } from '../../build/conductors';
import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';

/** Something that is to run. */
export interface PlannedLoad {
	name: string;
	/** While it runs, of one. */
	w: number;
	count: number;
	/** Of its hours it runs so much: a fridge a third. */
	share: number;
	/** 0 … 23. */
	hours: readonly number[];
	/** 1 … 12; null: all year. */
	months: readonly number[] | null;
	/** 1 (Monday) … 7 (Sunday); null or missing: every day. */
	days?: readonly number[] | null;
	/** For a moment when it starts, of one; null: as it runs. */
	surgeW: number | null;
	/** It runs on direct current, past the inverter. */
	dc: boolean;
}

export interface LoadPlan {
	loads: readonly PlannedLoad[];
	inverter: { efficiency: number; idleW: number } | null;
	/** BMS, relays, balancer, display. */
	standbyW: number;
}

/** Amperes at one nominal voltage, and what carries them. */
export interface AmpsAt {
	classV: number;
	nominalV: number;
	peakA: number;
	/** `usual` up to 50 mm²; `thick` up to 95 mm²; beyond that nobody bends and crimps it. */
	cable: 'usual' | 'thick' | 'none';
}

export interface LoadSummary {
	/** From the battery, Wh a day, January first; what runs on some days of the week by their share. */
	whPerDay: number[];
	/** All that may run together in one hour, from the battery, W; and with the largest start on top. */
	peakW: number;
	surgeW: number;
	/** Mean of the hour with most. */
	continuousW: number;
	amps: AmpsAt[];
}

const MONTHS = Array.from({ length: 12 }, (_, m) => m + 1);
const HOURS = Array.from({ length: 24 }, (_, h) => h);
const WEEK = 7;
/** Share of the days of a week on which something runs. */
export const shareOfDays = ({ days }: Pick<PlannedLoad, 'days'>): number =>
	days?.length ? new Set(days).size / WEEK : 1;
/** LFP cells of the usual classes (4, 8 and 16 in series). */
const CLASSES = [
	{ classV: 12, nominalV: 12.8 },
	{ classV: 24, nominalV: 25.6 },
	{ classV: 48, nominalV: 51.2 }
];
/** What 50 and 95 mm² of copper carry, A. */
export const CABLE_A = { usual: ampacityA({ areaMm2: 50 })!, thick: ampacityA({ areaMm2: 95 })! };

/** LFP stands so far above the name of its class. */
const ABOVE_CLASS = CLASSES[0]!.nominalV / CLASSES[0]!.classV;
/** The class a nominal voltage is nearest to, V. */
export const nominalClassV = (volts: number): number =>
	least(CLASSES, ({ classV }) => Math.abs(volts / (classV * ABOVE_CLASS) - 1))!.classV;

/** How far a nominal voltage may lie from that of its class, share (default): inverters and chargers allow for so much. */
const OF_A_CLASS = 0.15;

/** Cells in series of the class that is named, of any chemistry. */
export const seriesFor = (classV: number, chemistry: Chemistry): number =>
	Math.max(1, Math.round((classV * ABOVE_CLASS) / CHEMISTRY_FIGURES[chemistry].nominalV));

/** The class that cells in series are nearest to, and how many it wants, where they are of none; null: they are, or stand alone. */
export function notOfAClass(series: number, chemistry: Chemistry): { classV: number; series: number } | null {
	const volts = series * CHEMISTRY_FIGURES[chemistry].nominalV;
	const { classV, nominalV } = least(CLASSES, (c) => Math.abs(volts / c.nominalV - 1))!;
	return series === 1 || Math.abs(volts / nominalV - 1) <= OF_A_CLASS
		? null
		: { classV, series: seriesFor(classV, chemistry) };
}

/** Usual things and what they draw (default: our own figures; the label of the thing itself comes first). */
export const USUAL_LOADS: readonly PlannedLoad[] = [
	{ name: 'Lights, LED', w: 6, count: 5, share: 1, hours: [18, 19, 20, 21, 22], months: null, surgeW: null, dc: true },
	{ name: 'Fridge, compressor', w: 50, count: 1, share: 0.35, hours: HOURS, months: null, surgeW: 150, dc: true },
	{ name: 'Water pump', w: 60, count: 1, share: 0.15, hours: [7, 8, 12, 18, 19], months: null, surgeW: 180, dc: true },
	{ name: 'Router and radio', w: 12, count: 1, share: 1, hours: HOURS, months: null, surgeW: null, dc: true },
	{
		name: 'Laptop',
		w: 55,
		count: 1,
		share: 0.6,
		hours: [9, 10, 11, 14, 15, 16, 20],
		months: null,
		surgeW: null,
		dc: false
	},
	{ name: 'Kettle', w: 1800, count: 1, share: 0.1, hours: [7, 12, 17, 20], months: null, surgeW: null, dc: false },
	{ name: 'Hob, induction', w: 1600, count: 1, share: 0.5, hours: [12, 18], months: null, surgeW: null, dc: false },
	{ name: 'Power tools', w: 900, count: 1, share: 0.3, hours: [10, 11, 14], months: null, surgeW: 2700, dc: false },
	{ name: 'Washing machine', w: 500, count: 1, share: 0.4, hours: [11, 12], months: null, surgeW: 1200, dc: false },
	{
		name: 'Diesel heater, fan',
		w: 25,
		count: 1,
		share: 0.7,
		hours: [6, 7, 17, 18, 19, 20, 21, 22],
		months: [1, 2, 3, 4, 10, 11, 12],
		surgeW: 120,
		dc: true
	},
	{
		name: 'Roof fan',
		w: 30,
		count: 1,
		share: 1,
		hours: [12, 13, 14, 15, 16, 17],
		months: [6, 7, 8],
		surgeW: null,
		dc: true
	}
];

function checkLoad(load: PlannedLoad, i: number): void {
	const path = `loads.${i}`;
	requireNotNegative(load.w, `${path}.w`);
	requireNotNegative(load.count, `${path}.count`);
	if (!(requireFinite(load.share, `${path}.share`) >= 0 && load.share <= 1))
		throw new CoreError(
			'out-of-range',
			`${path}.share`,
			`${path}.share requires a fraction between 0 and 1, got ${load.share}`
		);
	if (load.surgeW !== null) requireNotNegative(load.surgeW, `${path}.surgeW`);
}

/**
 * Energy, power and amperes that a list of things takes from the battery: the inverter's loss and idle draw and standby included.
 * @throws CoreError `negative`, `not-positive`, `out-of-range`
 */
export function sumLoads({ loads, inverter, standbyW }: LoadPlan): LoadSummary {
	loads.forEach(checkLoad);
	requireNotNegative(standbyW, 'standbyW');
	const efficiency = inverter ? requirePositive(inverter.efficiency, 'inverter.efficiency') : 1;
	const always = (inverter ? requireNotNegative(inverter.idleW, 'inverter.idleW') : 0) + standbyW;
	const fromBattery = (load: PlannedLoad) => (load.w * load.count) / (load.dc ? 1 : efficiency);
	const inMonth = (month: number) => loads.filter((l) => !l.months?.length || l.months.includes(month));
	const sumAt = (month: number, hour: number, of: (load: PlannedLoad) => number) =>
		inMonth(month)
			.filter((l) => l.hours.includes(hour))
			.reduce((sum, l) => sum + of(l), always);
	const highest = (of: (load: PlannedLoad) => number) =>
		max(MONTHS.flatMap((m) => HOURS.map((h) => sumAt(m, h, of)))) ?? always;
	const peakW = highest(fromBattery);
	const starts = loads.map((l) => Math.max(0, ((l.surgeW ?? l.w) - l.w) / (l.dc ? 1 : efficiency)));
	return {
		whPerDay: MONTHS.map((m) =>
			HOURS.reduce((sum, h) => sum + sumAt(m, h, (l) => fromBattery(l) * l.share * shareOfDays(l)), 0)
		),
		peakW,
		surgeW: peakW + Math.max(0, ...starts),
		continuousW: highest((l) => fromBattery(l) * l.share),
		amps: CLASSES.map(({ classV, nominalV }) => {
			const peakA = peakW / nominalV;
			return {
				classV,
				nominalV,
				peakA,
				cable: peakA <= CABLE_A.usual ? 'usual' : peakA <= CABLE_A.thick ? 'thick' : 'none'
			};
		})
	};
}

/** The same things as the year of use takes them: mean watts by hour. */
export const hourlyLoads = (loads: readonly PlannedLoad[]) =>
	loads.map(({ w, count, share, hours, months, days = null, dc }) => ({
		w: w * count * share,
		hours,
		months,
		days,
		dc
	}));

/**
 * What the wiring must carry, W from the battery: all that may run together, or all that the inverter can give, whichever is more.
 * @param loadsW from the battery, its inverter's loss included
 */
export const drawnAtMostW = (loadsW: number, inverter: { efficiency: number; ratedW?: number | null } | null): number =>
	Math.max(loadsW, inverter?.ratedW ? inverter.ratedW / inverter.efficiency : 0);
