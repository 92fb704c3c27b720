import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative } from '../../foundation/errors';

/** Limits of a BMS. A trip needs its value past the limit for the delay; it is released past the release value. */
export interface BmsLimits {
	cellHighV: number;
	cellHighReleaseV: number;
	cellLowV: number;
	cellLowReleaseV: number;
	/** Pack limits; null for none. */
	packHighV: number | null;
	packHighReleaseV: number | null;
	packLowV: number | null;
	packLowReleaseV: number | null;
	chargeColdC: number;
	chargeHotC: number;
	dischargeColdC: number;
	dischargeHotC: number;
	temperatureReleaseK: number;
	/** Over-current limits, A; null for none. Released after `overCurrentReleaseS`. */
	chargeMaxA: number | null;
	dischargeMaxA: number | null;
	overCurrentReleaseS: number;
	voltageDelayS: number;
	temperatureDelayS: number;
	currentDelayS: number;
	/** Reading noise on every cell voltage, one standard deviation, V. */
	noiseV: number;
}

/** Default limits of a chemistry: full span of the limits table for LFP, the same distances for the others. */
export function defaultBmsLimits(chemistry: Chemistry): BmsLimits {
	const figures = CHEMISTRY_FIGURES[chemistry];
	return {
		cellHighV: figures.chargeLimitV,
		cellHighReleaseV: figures.chargeLimitV - 0.15,
		cellLowV: figures.dischargeLimitV,
		cellLowReleaseV: figures.dischargeLimitV + 0.4,
		packHighV: null,
		packHighReleaseV: null,
		packLowV: null,
		packLowReleaseV: null,
		chargeColdC: figures.chargeColdC,
		chargeHotC: figures.chargeHotC,
		dischargeColdC: figures.dischargeColdC,
		dischargeHotC: figures.dischargeHotC,
		temperatureReleaseK: 4,
		chargeMaxA: null,
		dischargeMaxA: null,
		overCurrentReleaseS: 60,
		voltageDelayS: 2,
		temperatureDelayS: 5,
		currentDelayS: 10,
		noiseV: 0
	};
}

const NOT_NEGATIVE = [
	'temperatureReleaseK',
	'overCurrentReleaseS',
	'voltageDelayS',
	'temperatureDelayS',
	'currentDelayS',
	'noiseV'
];

/** @throws CoreError naming the field; releases must lie inside their limits */
export function completeBms(spec: Partial<BmsLimits>, chemistry: Chemistry, path = 'bms'): BmsLimits {
	const defaults = defaultBmsLimits(chemistry);
	const given = Object.fromEntries(Object.entries(spec).filter(([, value]) => value !== undefined));
	const limits: BmsLimits = { ...defaults, ...given };
	if (spec.cellHighReleaseV === undefined) limits.cellHighReleaseV = limits.cellHighV - 0.15;
	if (spec.cellLowReleaseV === undefined) limits.cellLowReleaseV = limits.cellLowV + 0.4;
	limits.packHighReleaseV ??= limits.packHighV;
	limits.packLowReleaseV ??= limits.packLowV;
	for (const [name, value] of Object.entries(limits)) {
		if (value === null && defaults[name as keyof BmsLimits] === null) continue;
		if (NOT_NEGATIVE.includes(name)) requireNotNegative(value as number, `${path}.${name}`);
		else requireFinite(value as number, `${path}.${name}`);
	}
	const inside = (name: string, holds: boolean) => {
		if (!holds) throw new CoreError('release-outside', `${path}.${name}`, `${name} requires a value inside its limit`);
	};
	inside('cellHighReleaseV', limits.cellHighReleaseV <= limits.cellHighV);
	inside('cellLowReleaseV', limits.cellLowReleaseV >= limits.cellLowV);
	inside('packHighReleaseV', limits.packHighV === null || limits.packHighReleaseV! <= limits.packHighV);
	inside('packLowReleaseV', limits.packLowV === null || limits.packLowReleaseV! >= limits.packLowV);
	return limits;
}

export const TRIPS = [
	'cell-high',
	'cell-low',
	'pack-high',
	'pack-low',
	'charge-cold',
	'charge-hot',
	'discharge-cold',
	'discharge-hot',
	'charge-current',
	'discharge-current'
] as const;
export type Trip = (typeof TRIPS)[number];

/** What a BMS reads at one instant. */
export interface BmsReadings {
	highestV: number;
	lowestV: number;
	packV: number;
	coldestC: number;
	hottestC: number;
	/** A into the battery. */
	currentA: number;
}

/** A BMS at work: how long each limit has been passed, and what is tripped. Order of {@link TRIPS}. */
export interface Bms {
	limits: BmsLimits;
	pastS: Float64Array;
	trippedS: Float64Array;
	tripped: Uint8Array;
	chargeBlocked: boolean;
	dischargeBlocked: boolean;
}

export const createBms = (limits: BmsLimits): Bms => ({
	limits,
	pastS: new Float64Array(TRIPS.length),
	trippedS: new Float64Array(TRIPS.length),
	tripped: new Uint8Array(TRIPS.length),
	chargeBlocked: false,
	dischargeBlocked: false
});

/** 1 past the limit, −1 back inside the release, 0 between; order of {@link TRIPS}. */
function standing(trip: number, l: BmsLimits, r: BmsReadings): number {
	const above = (value: number, limit: number | null, release: number | null) =>
		limit === null ? -1 : value >= limit ? 1 : value <= release! ? -1 : 0;
	const below = (value: number, limit: number | null, release: number | null) =>
		limit === null ? -1 : value <= limit ? 1 : value >= release! ? -1 : 0;
	const k = l.temperatureReleaseK;
	switch (TRIPS[trip]) {
		case 'cell-high':
			return above(r.highestV, l.cellHighV, l.cellHighReleaseV);
		case 'cell-low':
			return below(r.lowestV, l.cellLowV, l.cellLowReleaseV);
		case 'pack-high':
			return above(r.packV, l.packHighV, l.packHighReleaseV);
		case 'pack-low':
			return below(r.packV, l.packLowV, l.packLowReleaseV);
		case 'charge-cold':
			return below(r.coldestC, l.chargeColdC, l.chargeColdC + k);
		case 'charge-hot':
			return above(r.hottestC, l.chargeHotC, l.chargeHotC - k);
		case 'discharge-cold':
			return below(r.coldestC, l.dischargeColdC, l.dischargeColdC + k);
		case 'discharge-hot':
			return above(r.hottestC, l.dischargeHotC, l.dischargeHotC - k);
		case 'charge-current':
			return above(r.currentA, l.chargeMaxA, l.chargeMaxA);
		default:
			return above(-r.currentA, l.dischargeMaxA, l.dischargeMaxA);
	}
}

const BLOCKS_CHARGE = new Set<Trip>(['cell-high', 'pack-high', 'charge-cold', 'charge-hot', 'charge-current']);
const OVER_CURRENT = TRIPS.indexOf('charge-current');

function delayOf(trip: number, limits: BmsLimits): number {
	if (trip >= OVER_CURRENT) return limits.currentDelayS;
	return trip >= TRIPS.indexOf('charge-cold') ? limits.temperatureDelayS : limits.voltageDelayS;
}

/** Moves the BMS on by `stepS` with what it reads now: trips after their delay, releases, what is blocked. */
export function stepBms(bms: Bms, readings: BmsReadings, stepS: number): void {
	bms.chargeBlocked = false;
	bms.dischargeBlocked = false;
	for (let trip = 0; trip < TRIPS.length; trip++) {
		const stands = standing(trip, bms.limits, readings);
		if (bms.tripped[trip]) {
			bms.trippedS[trip]! += stepS;
			const waited = trip < OVER_CURRENT || bms.trippedS[trip]! >= bms.limits.overCurrentReleaseS;
			if (stands < 0 && waited) bms.tripped[trip] = 0;
		} else {
			const due = stands > 0 && bms.pastS[trip]! >= delayOf(trip, bms.limits);
			bms.tripped[trip] = due ? 1 : 0;
			bms.trippedS[trip] = 0;
			bms.pastS[trip] = stands > 0 && !due ? bms.pastS[trip]! + stepS : 0;
		}
		if (!bms.tripped[trip]) continue;
		if (BLOCKS_CHARGE.has(TRIPS[trip]!)) bms.chargeBlocked = true;
		else bms.dischargeBlocked = true;
	}
}

/** The trips that hold now. */
export const activeTrips = (bms: Bms): Trip[] => TRIPS.filter((_, i) => bms.tripped[i] === 1);
