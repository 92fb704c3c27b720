import { mean } from 'd3-array';
import { KNEE_V, type Chemistry } from '../chemistry';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../statistics';
import { requireNotNegative, requirePositive } from '../errors';

/** Groups read while a battery is charged. */
export interface ChargeSample {
	atMs: number;
	/** Amperes into the battery. */
	currentA: number;
	/** One a group, position 1 first, V; null when they were not read. */
	groupsV: readonly number[] | null;
}

export interface ChargeLog {
	chemistry: Chemistry;
	groupAh: number;
	/** In time order. */
	samples: readonly ChargeSample[];
	/** One standard deviation of a reading against another a moment later, V. */
	meterSdV: number;
}

/** When each group passed one voltage near full, by ampere-hours counted since the charge began. */
export interface Passings {
	voltageV: number;
	/** One a group, position 1 first; null: it never passed. */
	groups: ({ ah: number; sdAh: number } | null)[];
	/** Counted until the log ended, Ah. */
	endAh: number;
}

/** Above the start of the knee every group is told by its voltage, V (models: 3.42 V for LFP). */
const ABOVE_KNEE_V = 0.02;
/** R0 + R1 of a cell, Ω·Ah, and how far one group's is from another's, as a share (default). */
const RESISTANCE = { ohmAh: 0.08, unlike: 0.1 };
/** A balancer nobody knows of moves up to this between two passings, A, one sd (default). */
const BALANCER_SD_A = 0.1;
/** A current further than this share from that of the first passing is not like it. */
const UNLIKE_CURRENT = 0.25;
/** A log that is silent for longer does not go on, ms. */
const LONGEST_GAP_MS = 15 * 60_000;
const HOUR_MS = 3_600_000;
/** A slope is taken over a rise of at least so many sd of the meter. */
const RISE_SDS = 6;
/** Readings of one group scatter no less than this, V: the last digit. */
const MIN_SD_V = 0.0003;
const INTERVAL_SDS = 1.96;

interface Counted {
	atMs: number;
	ah: number;
	currentA: number;
	groupsV: readonly number[];
}

/** The last unbroken stretch of charging, its charge counted (trapezia). */
function lastCharge(samples: readonly ChargeSample[]): Counted[] {
	let stretch: Counted[] = [];
	for (const { atMs, currentA, groupsV } of samples) {
		const before = stretch.at(-1);
		const goesOn = before !== undefined && atMs - before.atMs <= LONGEST_GAP_MS;
		if (currentA <= 0 || groupsV === null) {
			// A cloud, a reading that failed: counted over as long as the gap is short; a discharge ends the stretch.
			if (currentA < 0 || (before && !goesOn)) stretch = [];
			continue;
		}
		const ah = goesOn ? before.ah + (((before.currentA + currentA) / 2) * (atMs - before.atMs)) / HOUR_MS : 0;
		if (!goesOn) stretch = [];
		stretch.push({ atMs, ah, currentA, groupsV });
	}
	return stretch;
}

/** The stretch while its current stays like that of the first passing: what a tail holds up is not only resistance. */
function atLikeCurrent(stretch: readonly Counted[], voltageV: number): Counted[] {
	const first = stretch.findIndex((s) => s.groupsV.some((v) => v >= voltageV));
	if (first < 0) return [];
	const usualA = stretch[first]!.currentA;
	const unlike = ({ currentA }: Counted) => Math.abs(currentA - usualA) > UNLIKE_CURRENT * usualA;
	const end = stretch.findIndex((s, i) => i > first && unlike(s));
	const from = stretch.findLastIndex((s, i) => i < first && unlike(s)) + 1;
	return stretch.slice(from, end < 0 ? undefined : end);
}

/**
 * Ah counted between each group's passing of one voltage in a charge: 3.42 V (LFP), or where not all reach it the highest above the
 * knee that all pass, while the current stays like that of the first to pass. Null where there is no such stretch.
 * @throws CoreError `not-positive`, `negative`
 */
export function groupPassings({ chemistry, groupAh, samples, meterSdV }: ChargeLog): Passings | null {
	requirePositive(groupAh, 'groupAh');
	requireNotNegative(meterSdV, 'meterSdV');
	const charge = lastCharge(samples);
	const groups = charge[0]?.groupsV.length ?? 0;
	if (groups < 2 || charge.some((s) => s.groupsV.length !== groups)) return null;
	const sdV = Math.max(MIN_SD_V, meterSdV);
	const [least, wanted] = [KNEE_V[chemistry], KNEE_V[chemistry] + ABOVE_KNEE_V];
	const highestOf = (list: readonly Counted[]) =>
		Array.from({ length: groups }, (_, g) => Math.max(...list.map((s) => s.groupsV[g]!)));
	const allPass = Math.min(...highestOf(atLikeCurrent(charge, wanted))) - 2 * sdV;
	const voltageV = allPass >= wanted || allPass < least ? wanted : allPass;
	const stretch = atLikeCurrent(charge, voltageV);
	if (stretch.length < 3 || Math.max(...highestOf(stretch)) < voltageV) return null;
	// One that was there when the log began passed before: nobody saw when.
	if (stretch[0]!.groupsV.some((v) => v >= voltageV)) return null;
	const unlikeV = ((stretch[0]!.currentA * RESISTANCE.ohmAh) / groupAh) * RESISTANCE.unlike;
	const passed = Array.from({ length: groups }, (_, g) =>
		passing(
			stretch.map((s) => s.groupsV[g]!),
			stretch,
			voltageV,
			sdV,
			unlikeV
		)
	);
	const firstMs = Math.min(...passed.flatMap((p) => (p ? [p.atMs] : [])));
	return {
		voltageV,
		endAh: stretch.at(-1)!.ah,
		groups: passed.map(
			(p) => p && { ah: p.ah, sdAh: Math.hypot(p.sdAh, (BALANCER_SD_A * (p.atMs - firstMs)) / HOUR_MS) }
		)
	};
}

function passing(
	volts: readonly number[],
	stretch: readonly Counted[],
	voltageV: number,
	sdV: number,
	unlikeV: number
): { ah: number; sdAh: number; atMs: number } | null {
	const at = volts.findIndex((v, i) => i > 0 && v >= voltageV && (volts[i + 1] ?? v) >= voltageV - 2 * sdV);
	if (at < 1) return null;
	let from = at - 1;
	while (from > 0 && volts[at]! - volts[from]! < RISE_SDS * sdV) from--;
	const slope = (volts[at]! - volts[from]!) / (stretch[at]!.ah - stretch[from]!.ah);
	const [before, after] = [stretch[at - 1]!, stretch[at]!];
	const share = Math.min(1, Math.max(0, (voltageV - volts[at - 1]!) / (volts[at]! - volts[at - 1]! || 1)));
	const stepAh = after.ah - before.ah;
	return {
		ah: before.ah + share * stepAh,
		sdAh: Math.hypot(Math.hypot(sdV, unlikeV) / slope, stepAh / Math.sqrt(12)),
		atMs: after.atMs
	};
}

/**
 * Charge of each group against the mean of the others, Ah, by its passing: later is behind. A group that never passed is behind by
 * at least what was counted after the others had; its low end is open (−Infinity). Null where fewer than two passed.
 */
export function driftByPassings({ groups, endAh }: Passings): (Interval | null)[] {
	const passed = groups.filter((g) => g !== null);
	if (passed.length < 2) return groups.map(() => null);
	const waiting = groups.length - passed.length;
	return groups.map((own) => {
		const others = passed.filter((p) => p !== own);
		// How far the others that never passed are behind nobody knows: one alone is told, two are not told from each other.
		const unknown = own === null ? waiting - 1 : waiting;
		if (own === null && unknown > 0) return null;
		const ah = (mean(others, (p) => p.ah)! * others.length + endAh * unknown) / (others.length + unknown);
		const othersSd = Math.sqrt(others.reduce((sum, p) => sum + p.sdAh ** 2, 0)) / others.length;
		if (own === null) {
			const high95 = Math.min(0, ah - endAh + INTERVAL_SDS * othersSd);
			return { low95: -Infinity, likely: high95, high95 };
		}
		const half = INTERVAL_SDS * Math.hypot(own.sdAh, othersSd);
		const away = { low95: ah - own.ah - half, likely: ah - own.ah, high95: ah - own.ah + half };
		return unknown > 0 ? { ...away, high95: Infinity } : away;
	});
}

/** Draws of what each group's passing may have been. */
const DRAWS = 400;
const SEED = 20_261_126;

/**
 * Charge between the first and the last group to pass, Ah. Where one never passed only the least is known (high end open). Null
 * where none or one passed.
 */
export function apartByPassings({ groups, endAh }: Passings): Interval | null {
	const passed = groups.filter((g) => g !== null);
	if (passed.length < 2) return null;
	const random = seededRandom(SEED);
	const first = Math.min(...passed.map((p) => p.ah));
	const last = Math.max(...passed.map((p) => p.ah));
	const all = intervalOf(
		Array.from({ length: DRAWS }, () => {
			const ah = passed.map((p) => normalDraw(random, p.ah, p.sdAh));
			return Math.max(...ah) - Math.min(...ah);
		})
	);
	// Each doubt drawn for itself parts the groups further than they are: what they share is taken off.
	const shift = all.likely - (last - first);
	const drawn = { low95: Math.max(0, all.low95 - 2 * shift), likely: last - first, high95: all.high95 };
	if (passed.length === groups.length) return drawn;
	const atLeast = Math.max(drawn.low95, endAh - first - INTERVAL_SDS * Math.max(...passed.map((p) => p.sdAh)));
	return { low95: atLeast, likely: Math.max(atLeast, endAh - first), high95: Infinity };
}

/**
 * What a reading and a count say together: the count where it has both ends, the reading cut by it where it has one, and all that
 * either allows where they contradict each other.
 */
export function narrowed(read: Interval, counted: Interval | null): Interval {
	if (counted === null) return read;
	const [low95, high95] = [Math.max(read.low95, counted.low95), Math.min(read.high95, counted.high95)];
	const ends = [counted.low95, counted.high95].filter(Number.isFinite);
	if (low95 > high95)
		return {
			low95: Math.min(read.low95, ...ends),
			likely: counted.likely,
			high95: Math.max(read.high95, ...ends)
		};
	if (ends.length === 2) return counted;
	return { low95, likely: Math.min(high95, Math.max(low95, read.likely)), high95 };
}
