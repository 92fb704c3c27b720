import { byTheCalendarS } from '../../foundation/time';
import { type ChosenMethod } from '../../picture';
import { requireNotNegative, requirePositive } from '../../foundation/errors';

/** The end at which the bank spends its days, where the groups are to meet. */
export const LIVES_AT = ['top', 'bottom', 'middle'] as const;
export type LivesAt = (typeof LIVES_AT)[number];

/** What there is to balance, and what is at hand. */
export interface AtHand {
	/** Cells in all, and in series. */
	cells: number;
	series: number;
	/** Of one cell, Ah; and what it holds now, 0 … 1. */
	capacityAh: number;
	soc: number;
	/** Bounds of that, where they are known; missing: exact. */
	socLow?: number;
	socHigh?: number;
	/** Charge between fullest and emptiest, as a fraction of one; null: not known. */
	apart: number | null;
	/** A supply that can be set to one cell's limit, A; and one for the whole string, A. 0: none. */
	cellSupplyA: number;
	stringSupplyA: number;
	/** A load for single cells, A; 0: none. */
	loadA: number;
	/** Cells that bars or busbars can join in parallel at once. */
	bars: number;
	hasBms: boolean;
	/** Of the BMS or an active balancer, A; 0: none. */
	balancerA: number;
	/** Hours a day it works: near full, above its start voltage. */
	balancerHoursADay: number;
	/** Hours a day somebody is there. */
	attendedHoursADay: number;
	/** A charge goes on while nobody is there; false: it is on only while somebody is. Missing: true. */
	unattended?: boolean;
	/** Days there are; null: as many as it takes. */
	days: number | null;
	livesAt: LivesAt;
}

export type Hindrance =
	| 'no-cell-supply'
	| 'no-string-supply'
	| 'no-bms'
	| 'no-load'
	| 'no-bars'
	| 'no-balancer'
	| 'takes-too-long'
	| 'never-catches-up'
	| 'other-end'
	| 'nobody-there'
	| 'stays-apart';

export interface MethodPlan {
	method: ChosenMethod;
	/** While it works, h; from beginning to end by the calendar, h, and days at the hours somebody is there; null: it does not end. */
	hours: number | null;
	byCalendarH: number | null;
	days: number | null;
	/** From beginning to end, h, if the cells hold as much, and as little, as they may; null: it does not end. */
	hoursWithin: { low: number; high: number } | null;
	/** Of somebody's own time, h. */
	attendedHours: number;
	/** What stands against it; empty: nothing. */
	hindrances: Hindrance[];
}

type OnePlan = Omit<MethodPlan, 'hoursWithin'>;

/** Times by hand, h (default): to join or take apart a cell; to set up; to look in on a charge, each time. */
const HANDS_H = { cell: 0.1, setUp: 1, look: 0.2 };
/** A charge of many in parallel tapers; its supply is looked in on so often, h (default). */
const TAPER_H = 3;
const LOOK_EVERY_H = 4;
/** A row joined on the plateau is apart by about so much where nobody knows, as a fraction (default). */
const USUAL_APART = 0.05;
/** Rests between the stages of a bottom discharge, h (default). */
const BOTTOM_REST_H = 4;
/** A balancer that needs more days than this never catches up with what parts them meanwhile (default). */
const MAX_BALANCER_DAYS = 45;
/** An hour of one's own is worth so many hours of waiting (default). */
const OWN_HOUR = 12;
/** Less lies inside what a balancer holds by itself, as a fraction (default). */
const SMALL_APART = 0.01;

/**
 * Hours, attendance and hindrances of each school of balancing with what is at hand (models §9, §10), the one that fits best first: fewest
 * hindrances, then the least of one's own hours with the hours of waiting.
 * @throws CoreError `not-positive`, `negative`
 */
export function compareMethods(atHand: AtHand): MethodPlan[] {
	for (const name of ['cells', 'series', 'capacityAh'] as const) requirePositive(atHand[name], name);
	for (const name of ['soc', 'cellSupplyA', 'stringSupplyA', 'loadA', 'bars', 'balancerA'] as const)
		requireNotNegative(atHand[name], name);
	requirePositive(atHand.attendedHoursADay, 'attendedHoursADay');
	const { soc, socLow = soc, socHigh = soc } = atHand;
	const ends = [socLow, soc, socHigh].map((at) => plansOf({ ...atHand, soc: at }));
	const plans = ends[1]!.map((plan, m): MethodPlan => {
		const hours = ends.flatMap((own) => own[m]!.byCalendarH ?? []);
		return { ...plan, hoursWithin: plan.hours === null ? null : { low: Math.min(...hours), high: Math.max(...hours) } };
	});
	const price = ({ attendedHours, hours }: MethodPlan) =>
		hours === null ? Infinity : attendedHours + hours / OWN_HOUR;
	return plans.sort((a, b) => a.hindrances.length - b.hindrances.length || compare(price(a), price(b)));
}

const plansOf = (atHand: AtHand) => [top(atHand), fast(atHand), bottom(atHand), byBalancer(atHand), none(atHand)];

/** Two that do not end are alike. */
const compare = (a: number, b: number) => (a === b ? 0 : a - b);

const apartOf = ({ apart }: AtHand) => apart ?? USUAL_APART;

/** A method with its days, and whether they are there. A balancer in its battery works by itself. */
function planOf(
	atHand: AtHand,
	method: ChosenMethod,
	hours: number | null,
	attendedHours: number,
	hindrances: Hindrance[]
): OnePlan {
	const { attendedHoursADay, unattended = true } = atHand;
	const onlyH = unattended || method === 'balancer' ? null : attendedHoursADay;
	const byCalendarH = hours === null ? null : byTheCalendarS(hours * 3600, onlyH) / 3600;
	const days = byCalendarH === null ? null : Math.max(byCalendarH / 24, attendedHours / attendedHoursADay);
	const late = days !== null && atHand.days !== null && days > atHand.days;
	return {
		method,
		hours,
		byCalendarH,
		days,
		attendedHours,
		hindrances: late ? [...hindrances, 'takes-too-long'] : hindrances
	};
}

const looks = (hours: number) => Math.ceil(hours / LOOK_EVERY_H) * HANDS_H.look;

function top(atHand: AtHand): OnePlan {
	const { cells, capacityAh, soc, cellSupplyA, bars, livesAt } = atHand;
	const joined = Math.min(cells, Math.max(1, bars));
	const sets = Math.ceil(cells / joined);
	const hours = cellSupplyA > 0 ? (cells * capacityAh * (1 - soc)) / cellSupplyA + sets * TAPER_H : null;
	const attended = HANDS_H.setUp + 2 * cells * HANDS_H.cell + (hours === null ? 0 : looks(hours));
	return planOf(atHand, 'top', hours, attended, [
		...(cellSupplyA > 0 ? [] : (['no-cell-supply'] as const)),
		...(bars >= 2 || cells === 1 ? [] : (['no-bars'] as const)),
		...(livesAt === 'bottom' ? (['other-end'] as const) : [])
	]);
}

function fast(atHand: AtHand): OnePlan {
	const { cells, series, capacityAh, soc, cellSupplyA, stringSupplyA, bars, hasBms, livesAt } = atHand;
	const parallel = Math.max(1, Math.round(cells / series));
	const canBoth = cellSupplyA > 0 && stringSupplyA > 0;
	const left = apartOf(atHand) / 2 + 0.02;
	const hours = canBoth
		? (parallel * capacityAh * (1 - soc - left)) / stringSupplyA + (cells * capacityAh * left) / cellSupplyA + TAPER_H
		: null;
	const attended = 2 * HANDS_H.setUp + 4 * cells * HANDS_H.cell + (hours === null ? 0 : looks(hours));
	return planOf(atHand, 'fast', hours, attended, [
		...(cellSupplyA > 0 ? [] : (['no-cell-supply'] as const)),
		...(stringSupplyA > 0 ? [] : (['no-string-supply'] as const)),
		...(hasBms ? [] : (['no-bms'] as const)),
		...(bars >= 2 ? [] : (['no-bars'] as const)),
		...(livesAt === 'bottom' ? (['other-end'] as const) : [])
	]);
}

function bottom(atHand: AtHand): OnePlan {
	const { cells, capacityAh, soc, loadA, livesAt, attendedHoursADay } = atHand;
	const oneH = loadA > 0 ? (capacityAh * soc) / loadA : null;
	const hours = oneH === null ? null : cells * oneH + BOTTOM_REST_H;
	// An emptying cell is never left alone: from a little charge it is over its limit in minutes.
	const attended = HANDS_H.setUp + (hours ?? 0);
	return planOf(atHand, 'bottom', hours, attended, [
		...(loadA > 0 ? [] : (['no-load'] as const)),
		...(livesAt === 'top' ? (['other-end'] as const) : []),
		...(oneH !== null && oneH > attendedHoursADay ? (['nobody-there'] as const) : [])
	]);
}

function byBalancer(atHand: AtHand): OnePlan {
	const { capacityAh, balancerA, balancerHoursADay, hasBms, livesAt } = atHand;
	const perDay = balancerA * balancerHoursADay;
	const days = perDay > 0 ? (apartOf(atHand) * capacityAh) / perDay : null;
	const never = days !== null && days > MAX_BALANCER_DAYS;
	return planOf(atHand, 'balancer', days === null || never ? null : 24 * days, HANDS_H.setUp, [
		...(balancerA > 0 ? [] : (['no-balancer'] as const)),
		...(hasBms ? [] : (['no-bms'] as const)),
		...(never || (balancerA > 0 && perDay === 0) ? (['never-catches-up'] as const) : []),
		...(livesAt === 'bottom' ? (['other-end'] as const) : [])
	]);
}

function none(atHand: AtHand): OnePlan {
	const known = atHand.apart !== null && atHand.apart <= SMALL_APART;
	return planOf(atHand, 'none', 0, 0, known ? [] : ['stays-apart']);
}
