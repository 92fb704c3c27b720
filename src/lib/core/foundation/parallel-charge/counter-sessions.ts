import type { ChargeReading } from './charge-reading';

/** Amperes between two looks are guessed by both: amperes × hours is right to this share, and so many Ah (default). */
export const GUESSED_WITHIN = { share: 0.2, ah: 1 };

/** Charge that a log says went in. */
export interface CountedCharge {
	/** Likeliest, and between what it lies where a counter may have begun anew, Ah. */
	ah: number;
	low: number;
	high: number;
	/** Places of readings whose counter went on or began anew, nobody can tell which: a person is asked. */
	asks: number[];
}

const isOff = ({ supplyA, stopped }: ChargeReading): boolean => supplyA === 0 || stopped === true;

/** Ah that flowed between two looks by amperes and hours: an interval, for nobody wrote down when the supply went on again. */
function flowed(before: ChargeReading, now: ChargeReading): { low: number; high: number } {
	const hours = (now.timeS - before.timeS) / 3600;
	// Switched on again at some moment in between; switched off: it gave what it gave before until then.
	if (isOff(before)) return { low: 0, high: now.supplyA * hours };
	if (isOff(now)) return { low: 0, high: before.supplyA * hours };
	const meanAh = ((before.supplyA + now.supplyA) / 2) * hours;
	return { low: meanAh, high: meanAh };
}

const between = (readings: readonly ChargeReading[], from: number, to: number): { low: number; high: number } =>
	readings.slice(from + 1, to + 1).reduce(
		(sum, now, i) => {
			const part = flowed(readings[from + i]!, now);
			return { low: sum.low + part.low, high: sum.high + part.high };
		},
		{ low: 0, high: 0 }
	);

const fits = (ah: number, { low, high }: { low: number; high: number }): boolean =>
	ah >= low * (1 - GUESSED_WITHIN.share) - GUESSED_WITHIN.ah &&
	ah <= high * (1 + GUESSED_WITHIN.share) + GUESSED_WITHIN.ah;

interface Step {
	ah: number;
	low: number;
	high: number;
	ask: boolean;
}
const sure = (ah: number): Step => ({ ah, low: ah, high: ah, ask: false });

/**
 * What went in between two counts (models §10, counter sessions): a counter begins anew at every power-off, start or mark, not only
 * when its figure falls; amperes × hours decides, and where both readings of it fit, it is asked.
 */
function stepBetween(readings: readonly ChargeReading[], from: number, to: number): Step {
	const [before, now] = [readings[from]!.deliveredAh!, readings[to]!.deliveredAh!];
	const [wentOn, anew] = [now - before, now];
	const marked = readings[to]!.counterAnew ?? null;
	if (marked === true || wentOn < 0) return sure(anew);
	if (marked === false || before === 0) return sure(wentOn);
	// The count that is written down as the supply goes off belongs to what flowed before.
	const offFrom = readings.slice(from, to).some(isOff);
	const byHours = between(readings, from, to);
	const [onFits, anewFits] = [fits(wentOn, byHours), fits(anew, byHours)];
	if (!offFrom) {
		if (onFits || !anewFits) return sure(wentOn);
		return { ah: anew, low: wentOn, high: anew, ask: true };
	}
	if (anewFits && !onFits) return sure(anew);
	if (onFits && !anewFits) return sure(wentOn);
	return { ah: anew, low: wentOn, high: anew, ask: true };
}

/** Ah by amperes and hours alone, from one reading on. Off, nothing flows; when it went on again, nobody wrote down: from then. */
function integrated(readings: readonly ChargeReading[], from: number): number {
	return readings.slice(from + 1).reduce((sum, now, i) => {
		const before = readings[from + i]!;
		const meanA = isOff(before) ? 0 : isOff(now) ? before.supplyA : (now.supplyA + before.supplyA) / 2;
		return sum + (meanA * (now.timeS - before.timeS)) / 3600;
	}, 0);
}

/**
 * Charge that went into a row by its log: the supply's own counts where they are written down, session by session, else amperes and
 * hours. @param readings in time order; empty gives 0
 */
export function countedCharge(readings: readonly ChargeReading[]): CountedCharge {
	const counted = readings.flatMap((r, i) => (r.deliveredAh === null ? [] : [i]));
	const first = counted[0];
	if (first === undefined) {
		const ah = integrated(readings, 0);
		return { ah, low: ah, high: ah, asks: [] };
	}
	const steps = counted.slice(1).map((to, k) => ({ to, ...stepBetween(readings, counted[k]!, to) }));
	const since = integrated(readings, counted.at(-1)!);
	const begun = readings[first]!.deliveredAh!;
	const sum = (of: (step: Step) => number) => begun + since + steps.reduce((all, s) => all + of(s), 0);
	return {
		ah: sum((s) => s.ah),
		low: sum((s) => s.low),
		high: sum((s) => s.high),
		asks: steps.flatMap((s) => (s.ask ? [s.to] : []))
	};
}
