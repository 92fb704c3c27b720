import { LEAK_RISES_ABOVE_V } from '../../world/cell-model';
import {
	LOADED_OHM_AH,
	HYSTERESIS_V,
	beyondEnds,
	drawnCurve,
	restVoltageCurve,
	socBounds,
	type Chemistry
} from '../../foundation/chemistry';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { requireNotNegative } from '../../foundation/errors';
import { snapshotBounds } from '../../foundation/snapshot';
import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

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
/** Before this no rest of a row tells anything; after that long what was lost since is not known well enough, h. */
export const MIN_H = 0.9;
const MAX_H = 14 * 24;
/** A reading after so long is no look at how it settled, h (default). */
const SETTLING_H = 90 * 24;
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

const hoursAfter = (at: string, endedAt: string): number => (Date.parse(at) - Date.parse(endedAt)) / 3_600_000;

/** Read while still joined: the row as one stands where a full one does, or does not; of a single cell it tells nothing. */
function ofTheRow(
	cells: readonly SettledCell[],
	row: SettledCell['read'],
	endedAt: string,
	chemistry: Chemistry,
	tail: Tail,
	subject: Subject
): Verdict[] {
	const hours = row ? hoursAfter(row.takenAt, endedAt) : NaN;
	if (!row || !(hours >= MIN_H && hours <= MAX_H)) return [];
	const expectedV = settledV(chemistry, hours, tail);
	const isLow = row.valueV + 1.96 * row.sdV < expectedV.low95;
	const facts = { readV: row.valueV, hours, expectedV, cells: cells.length };
	return [isLow ? say('settle-row-low', 'look', subject, facts) : say('settle-row', 'open', subject, facts)];
}

/** Read only when what was lost since is not known well enough any more. */
function tooLate(cells: readonly SettledCell[], endedAt: string, subject: Subject): Verdict[] {
	const late = cells.filter((c) => {
		const hours = c.read ? hoursAfter(c.read.takenAt, endedAt) : 0;
		return hours > MAX_H && hours <= SETTLING_H;
	});
	if (late.length === 0) return [];
	const days = Math.min(...late.map((c) => hoursAfter(c.read!.takenAt, endedAt))) / 24;
	return [say('settle-late', 'calm', subject, { cells: late.length, days, mostDays: MAX_H / 24 })];
}

/**
 * The settle check after a charge side by side: whether each cell stands where a full one does after so many hours, and whether they fell
 * together.
 * @param endedAt when the charge was ended
 * @param row the voltage of all of them while they were still joined; null: not read
 */
export function judgeSettled(
	cells: readonly SettledCell[],
	endedAt: string,
	{ chemistry, meterSdV, tail }: { chemistry: Chemistry; meterSdV: number; tail: Tail },
	subject: Subject,
	row: SettledCell['read'] = null
): Verdict[] {
	const hoursOf = (at: string) => hoursAfter(at, endedAt);
	const read = cells.flatMap((c) =>
		c.read && hoursOf(c.read.takenAt) >= MIN_H && hoursOf(c.read.takenAt) <= MAX_H ? [{ ...c, read: c.read }] : []
	);
	if (read.length === 0)
		return [...ofTheRow(cells, row, endedAt, chemistry, tail, subject), ...tooLate(cells, endedAt, subject)];
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
				readV: c.read.valueV,
				hours,
				expectedV,
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
