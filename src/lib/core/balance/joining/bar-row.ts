import { median } from 'd3-array';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import type { Interval } from '../../foundation/statistics';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** A row of cells joined side by side by bars from neighbour to neighbour, plus to plus and minus to minus. */
export interface BarRow {
	/** Into the row, A. */
	currentA: number;
	/** Of each cell, Ω. */
	cellOhm: number;
	/** Of each bar with its two joints, Ω. */
	barOhm: number;
	/** Rest voltage of each, in the order of the row, V. */
	restV: readonly number[];
	/** At which cell the supply’s plus and minus sit, from 0. */
	plusAt: number;
	minusAt: number;
}

export interface RowCurrents {
	/** Into each cell, A. */
	cellA: number[];
	/** At each cell’s own terminals, V. */
	cellV: number[];
	/** Through each bar from cell i to i + 1, A, plus side and minus side; signed, to the right. */
	plusBarA: number[];
	minusBarA: number[];
	/** Between the highest and the lowest cell at its terminals, V. */
	spreadV: number;
}

/**
 * What flows into each cell of a row and through each bar: Kirchhoff’s laws of the ladder, a tridiagonal system in the summed currents
 * (Thomas). With the leads at opposite corners both ways to every cell are equally long; at one end the near cells take most.
 * @throws CoreError `too-few`, `not-positive`, `negative`, `not-a-number`, `out-of-range`
 */
export function rowCurrents({ currentA, cellOhm, barOhm, restV, plusAt, minusAt }: BarRow): RowCurrents {
	const n = restV.length;
	if (n < 1) throw new CoreError('too-few', 'restV', 'restV requires one cell or more');
	requirePositive(cellOhm, 'cellOhm');
	requireNotNegative(barOhm, 'barOhm');
	requireFinite(currentA, 'currentA');
	restV.forEach((v, i) => requireFinite(v, `restV.${i}`));
	for (const [name, at] of Object.entries({ plusAt, minusAt }))
		if (!(Number.isInteger(at) && at >= 0 && at < n))
			throw new CoreError('out-of-range', name, `${name} requires a cell from 0 to ${n - 1}, got ${at}`);
	const feeds = (i: number) => Number(plusAt <= i) + Number(minusAt <= i);
	// Summed currents of the first i + 1 cells: −R·S₍ᵢ₋₁₎ + (2R + 2r)·Sᵢ − R·S₍ᵢ₊₁₎ = r·I·cᵢ + E₍ᵢ₊₁₎ − Eᵢ, S₍ₙ₎ = I.
	const size = n - 1;
	const right = Array.from({ length: size }, (_, i) => barOhm * currentA * feeds(i) + restV[i + 1]! - restV[i]!);
	if (size > 0) right[size - 1]! += cellOhm * currentA;
	const upper: number[] = [];
	const solved: number[] = [];
	for (let i = 0; i < size; i++) {
		const pivot = 2 * cellOhm + 2 * barOhm + (i > 0 ? cellOhm * upper[i - 1]! : 0);
		upper[i] = -cellOhm / pivot;
		solved[i] = (right[i]! + (i > 0 ? cellOhm * solved[i - 1]! : 0)) / pivot;
	}
	const sums = Array<number>(size).fill(0);
	for (let i = size - 1; i >= 0; i--) sums[i] = solved[i]! - upper[i]! * (i < size - 1 ? sums[i + 1]! : 0);
	const cellA = restV.map((_, i) => (sums[i] ?? currentA) - (i > 0 ? sums[i - 1]! : 0));
	const cellV = cellA.map((a, i) => restV[i]! + a * cellOhm);
	return {
		cellA,
		cellV,
		plusBarA: sums.map((s, i) => currentA * Number(plusAt <= i) - s),
		minusBarA: sums.map((s, i) => s - currentA * Number(minusAt <= i)),
		spreadV: Math.max(...cellV) - Math.min(...cellV)
	};
}

export interface BarReading {
	side: 'plus' | 'minus';
	/** From cell `at` to the next, from 0. */
	at: number;
	/** Across it, post to post, V; either sign. */
	acrossV: number;
}

/** A meter in millivolts is off by so much, V, one sd; what flows through one bar is known to such a share (default). */
const METER_SD_V = 0.00005;
const SHARE_SD = 0.1;
/** A bar with less through it than that share of all tells nothing. */
const MIN_SHARE = 0.08;
/** A bar this many times its like wants to be undone and cleaned (default). */
const TOO_HIGH = 2.5;

/**
 * Resistance of each bar with its joints by the volts across it while a known current flows, Ω, 95 %. Null where too little flows through it
 * to tell.
 * @throws CoreError as {@link rowCurrents}, `out-of-range`
 */
export function barOhms(row: BarRow, readings: readonly BarReading[]): (Interval | null)[] {
	const currents = rowCurrents(row);
	return readings.map(({ side, at, acrossV }, i) => {
		requireFinite(acrossV, `readings.${i}.acrossV`);
		const through = (side === 'plus' ? currents.plusBarA : currents.minusBarA)[at];
		if (through === undefined)
			throw new CoreError('out-of-range', `readings.${i}.at`, `readings.${i}.at requires a bar of the row, got ${at}`);
		const amps = Math.abs(through);
		if (amps < MIN_SHARE * Math.abs(row.currentA)) return null;
		const likely = Math.abs(acrossV) / amps;
		const half = 1.96 * Math.hypot(METER_SD_V / amps, likely * SHARE_SD);
		return { low95: Math.max(0, likely - half), likely, high95: likely + half };
	});
}

/** What to think of the bars: those that are sure to be worse than their like. @param subject the bank */
export function judgeBars(row: BarRow, readings: readonly BarReading[], subject: Subject): Verdict[] {
	const ohms = barOhms(row, readings);
	const told = ohms.flatMap((o) => (o ? [o] : []));
	if (told.length < 3) return [say('bars-untold', 'open', subject, { read: readings.length, told: told.length })];
	const usual = median(told, (o) => o.likely)!;
	const high = readings.flatMap((r, i) => (ohms[i] && ohms[i]!.low95 > TOO_HIGH * usual ? [{ r, ohm: ohms[i]! }] : []));
	if (high.length === 0) return [say('bars-alike', 'calm', subject, { bars: told.length, usualOhm: usual })];
	return high.map(({ r, ohm }) =>
		say(
			'bar-high',
			'look',
			{ ...subject, id: `${subject.id}-${r.side}-${r.at}` },
			{ side: r.side, from: r.at + 1, to: r.at + 2, ohm, usualOhm: usual }
		)
	);
}
