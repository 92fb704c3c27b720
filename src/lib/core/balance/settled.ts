import { LEAK_RISES_ABOVE_V, LOADED_OHM_AH } from '../cell-model';
import { HYSTERESIS_V, beyondEnds, drawnCurve, restVoltageCurve, socBounds, type Chemistry } from '../chemistry';
import { intervalOf, normalDraw, requireNotNegative, seededRandom, type Interval } from '../shared';
import { snapshotBounds } from '../snapshot';
import { cellSubject, say, type Subject, type Verdict } from '../verdicts';

/** A cell read loose, after its charge was ended. */
export interface SettledCell {
	id: number;
	label: string;
	capacityAh: number;
	/** Null: not read since. */
	read: { valueV: number; sdV: number; takenAt: string } | null;
}

/** What the tail was: set voltage, and amperes into one cell as a share of its capacity. */
export interface Tail {
	setV: number;
	cRate: number;
}
/** Surface charge per C-rate, and what is left of it after so long (models §3, default). */
const SURFACE = { kappa: 0.03, tauS: 1500 };
/** A cell loses so much of itself in a month, share, and so many times more for each volt above where that rises; log of a factor (default). */
const LOSS = { month: 0.02, ln: 1.2, perV: 100 };
const MONTH_H = 730;
/** Doubts as the logarithm of a factor, one sd; the meter and the supply at the tail, V. */
const DOUBT = { hysteresis: 0.4, resistance: 0.25, surface: 0.4, tailV: 0.012 };
/** A nominal tail is held for a while, and falls meanwhile to between this share of it and itself. */
const FALLS_TO = 0.3;
/** Before this nothing is told; after that long what was lost since is not known well enough, h. */
const LEAST_H = 0.9;
const MOST_H = 14 * 24;
const DRAWS = 800;
const SEED = 20_261_204;

/**
 * Where a cell that was charged to its tail stands after so long loose, V, 95 %: in each drawn world the charge it took at that tail follows
 * from curve, hysteresis, resistance and surface charge, and what it rests at from that charge less what it lost.
 * @throws CoreError `negative`
 */
export function settledV(chemistry: Chemistry, hours: number, tail: Tail): Interval {
	requireNotNegative(hours, 'hours');
	requireNotNegative(tail.cRate, 'cRate');
	const random = seededRandom(SEED);
	const typical = restVoltageCurve(chemistry);
	return intervalOf(
		Array.from({ length: DRAWS }, () => {
			const { socOf, voltsAt } = beyondEnds(drawnCurve(typical, random), typical);
			const loopV = HYSTERESIS_V[chemistry] * Math.exp(normalDraw(random, 0, DOUBT.hysteresis));
			const rate = tail.cRate * (FALLS_TO + (1 - FALLS_TO) * random());
			const dropV = rate * LOADED_OHM_AH * Math.exp(normalDraw(random, 0, DOUBT.resistance));
			const surface = SURFACE.kappa * rate * Math.exp(normalDraw(random, 0, DOUBT.surface));
			const endSoc = socOf(tail.setV + normalDraw(random, 0, DOUBT.tailV) - dropV - loopV) - surface;
			const left = surface * Math.exp((-hours * 3600) / SURFACE.tauS);
			const perHour = (LOSS.month / MONTH_H) * Math.exp(LOSS.ln * (2 * random() - 1));
			const stays = loopV * (1 - 0.3 * random());
			let soc = endSoc;
			// Near full it loses more, and stands lower for it: hour by hour, and longer steps later on.
			for (let at = 0; at < hours;) {
				const stepH = Math.min(hours - at, Math.max(0.5, at / 8));
				const above = Math.max(0, voltsAt(soc) + stays - LEAK_RISES_ABOVE_V[chemistry]);
				soc -= stepH * perHour * (1 + LOSS.perV * above);
				at += stepH;
			}
			return voltsAt(soc + left) + stays;
		})
	);
}

/**
 * The settle check after a charge side by side: whether each cell stands where a full one does after so many hours, and whether they fell
 * together.
 * @param endedAt when the charge was ended
 */
export function judgeSettled(
	cells: readonly SettledCell[],
	endedAt: string,
	{ chemistry, meterSdV, tail }: { chemistry: Chemistry; meterSdV: number; tail: Tail },
	subject: Subject
): Verdict[] {
	const hoursOf = (at: string) => (Date.parse(at) - Date.parse(endedAt)) / 3_600_000;
	const read = cells.flatMap((c) =>
		c.read && hoursOf(c.read.takenAt) >= LEAST_H && hoursOf(c.read.takenAt) <= MOST_H ? [{ ...c, read: c.read }] : []
	);
	if (read.length === 0) return [];
	const high = read.flatMap((c) => {
		const hours = hoursOf(c.read.takenAt);
		const expectedV = settledV(chemistry, hours, tail);
		if (c.read.valueV - 1.96 * c.read.sdV <= expectedV.high95) return [];
		return [say('settle-high', 'look', cellSubject(c), { readV: c.read.valueV, hours, expectedV })];
	});
	if (high.length) return high;
	const low = read.flatMap((c) => {
		const hours = hoursOf(c.read.takenAt);
		const expectedV = settledV(chemistry, hours, tail);
		if (c.read.valueV + 1.96 * c.read.sdV >= expectedV.low95) return [];
		const { lowFraction, highFraction } = socBounds(chemistry, c.read.valueV, c.read.sdV, 3600 * hours);
		const missing = (share: number) => Math.max(0, (1 - share) * c.capacityAh);
		return [
			say('settle-low', 'look', cellSubject(c), {
				...{ readV: c.read.valueV, hours, expectedV },
				missingAh: {
					low95: missing(highFraction),
					likely: missing((lowFraction + highFraction) / 2),
					high95: missing(lowFraction)
				}
			})
		];
	});
	if (low.length) return low;
	if (read.length < cells.length)
		return [say('settle-waits', 'open', subject, { read: read.length, of: cells.length })];
	if (read.length < 2) return [];
	const groupAh = Math.max(...read.map((c) => c.capacityAh));
	const { apartAh } = snapshotBounds({
		chemistry,
		groupAh,
		meterSdV,
		currentA: 0,
		groupVoltagesV: read.map((c) => c.read.valueV)
	});
	return [
		say('settled', 'calm', subject, {
			cells: read.length,
			hours: Math.min(...read.map((c) => hoursOf(c.read.takenAt))),
			apartAh
		})
	];
}

/** One look at a charger that has stopped by itself. */
export interface StoppedReading {
	readAt: string;
	supplyA: number;
	cellV: number | null;
	stopped: boolean | null;
}

/** Further below what it is set to at its own stop, it stopped for another reason, V (default). */
const EARLY_V = 0.06;
/** What a row that reads as sure as that holds is full, share. */
const FULL = 0.97;
/** Of the loop, after a charge. */
const CHARGED_SIDE = 0.4;

/**
 * What the light of a charger that shows no amperes proves: the meter at the cells at the light, and again after an hour and a day. Null
 * where none has stopped by itself.
 * @param row set voltage, capacity of the whole row
 */
export function judgeLight(
	readings: readonly StoppedReading[],
	row: { chemistry: Chemistry; setV: number; totalAh: number; meterSdV: number },
	subject: Subject
): Verdict | null {
	const at = readings.findIndex((r) => r.stopped === true);
	if (at < 0) return null;
	const light = readings[at]!;
	const hours = (r: StoppedReading) => (Date.parse(r.readAt) - Date.parse(light.readAt)) / 3_600_000;
	const wentOn = readings.slice(at + 1).some((r) => r.supplyA > 0);
	if (wentOn) return null;
	const last = readings.slice(at + 1).findLast((r) => r.cellV !== null && hours(r) >= LEAST_H);
	if (!last) {
		if (light.cellV !== null && light.cellV < row.setV - EARLY_V)
			return say('charger-stopped-early', 'look', subject, { readV: light.cellV, setV: row.setV });
		return say('light-waits', 'open', subject, { lightAt: light.readAt, readV: light.cellV });
	}
	// Nothing flows, and it stands above what the charger was set to: no rest of these cells.
	if (last.cellV! > row.setV + EARLY_V)
		return say('light-above', 'look', subject, { readV: last.cellV!, setV: row.setV });
	// After a charge it is known on which side of its loop the cell stands.
	const restV = last.cellV! - CHARGED_SIDE * HYSTERESIS_V[row.chemistry];
	const { lowFraction, highFraction } = socBounds(row.chemistry, restV, row.meterSdV, 3600 * hours(last));
	const missing = (share: number) => Math.max(0, (1 - share) * row.totalAh);
	const facts = {
		...{ readV: last.cellV!, hours: hours(last) },
		missingAh: {
			low95: missing(highFraction),
			likely: missing((lowFraction + highFraction) / 2),
			high95: missing(lowFraction)
		}
	};
	if (lowFraction >= FULL) return say('light-full', 'calm', subject, facts);
	return highFraction < FULL ? say('light-short', 'look', subject, facts) : say('light-unsure', 'open', subject, facts);
}

/** A supply’s count of Ah, and what a type’s cells really hold, one sd as a share (default); a charge loses so much. */
const COUNT_SD = 0.02;
const CAPACITY_SD = 0.014;
const EFFICIENCY = { likely: 0.995, sd: 0.005 };

/**
 * What a row held when its charge began, as a share of full, worked back from what went in until it was full.
 * @param tested whether its capacities were measured: then they are known to a quarter of the usual doubt
 */
export function arrivalByCharge(deliveredAh: number, totalAh: number, tested: boolean): Interval {
	requireNotNegative(deliveredAh, 'deliveredAh');
	const inside = (deliveredAh * EFFICIENCY.likely) / totalAh;
	const sd = inside * Math.hypot(COUNT_SD, tested ? CAPACITY_SD / 4 : CAPACITY_SD, EFFICIENCY.sd);
	// The tail ends a little beyond full, or short of it.
	const half = 1.96 * Math.hypot(sd, 0.004);
	const share = (v: number) => Math.min(1, Math.max(0, v));
	return { low95: share(1 - inside - half), likely: share(1 - inside), high95: share(1 - inside + half) };
}

/** What the row arrived with, unless more is said to have gone in than an empty one takes. */
export function judgeArrival(deliveredAh: number, totalAh: number, tested: boolean, subject: Subject): Verdict {
	const share = arrivalByCharge(deliveredAh, totalAh, tested);
	return share.high95 > 0
		? say('arrival-by-charge', 'calm', subject, { deliveredAh, totalAh, share })
		: say('arrival-too-much', 'look', subject, { deliveredAh, totalAh });
}
