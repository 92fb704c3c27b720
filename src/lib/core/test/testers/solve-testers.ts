import { group } from 'd3-array';
import { requireNotNegative, requirePositive } from '../../foundation/errors';
import { REPEATS_SD } from '../capacity';
import { TESTER_GAIN_SD } from '../verdicts';

/** A run brought to standard conditions. */
export interface StandardRun {
	cellId: number;
	/** What it was run on; null: not written down, taken as one tester for all. */
	tester: string | null;
	capacityAh: number;
	/** One sd, the doubt of an uncompared tester's gain included. */
	sdAh: number;
	/** Part of that doubt which another run would share, as a fraction: that of the corrections; 0 when missing. */
	sharedSd?: number;
}

/** A doubt of the usual size, however it was rounded, is no smaller one. */
const ALMOST = 0.98;

export interface LogRun {
	cellId: number;
	tester: string | null;
	log: number;
	weight: number;
	/** Its stated doubt is less than that of an uncompared tester: whoever states it has compared, and no gain is looked for. */
	isCompared: boolean;
	sharedSd: number;
}

/** A run on the scale where gains add; its own doubt without that of its tester's gain. */
export function onLogScale({ cellId, tester, capacityAh, sdAh, sharedSd = 0 }: StandardRun): LogRun {
	requirePositive(capacityAh, 'capacityAh');
	requireNotNegative(sdAh, 'sdAh');
	const relative = Math.sqrt(Math.max(0, (sdAh / capacityAh) ** 2 - sharedSd ** 2));
	const isCompared = relative < TESTER_GAIN_SD * ALMOST;
	const own = isCompared ? relative : Math.sqrt(Math.max(0, relative ** 2 - TESTER_GAIN_SD ** 2));
	return {
		cellId,
		tester,
		log: Math.log(capacityAh),
		weight: 1 / Math.max(REPEATS_SD, own) ** 2,
		isCompared,
		sharedSd
	};
}

/** Solves a symmetric positive system and inverts it (Gauss & Jordan): as many rows as testers. */
function inverted(matrix: readonly (readonly number[])[]): number[][] {
	const n = matrix.length;
	const rows = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))]);
	for (let k = 0; k < n; k++) {
		const pivot = rows[k]![k]!;
		for (let j = 0; j < 2 * n; j++) rows[k]![j]! /= pivot;
		for (let i = 0; i < n; i++) {
			if (i === k) continue;
			const factor = rows[i]![k]!;
			for (let j = 0; j < 2 * n; j++) rows[i]![j]! -= factor * rows[k]![j]!;
		}
	}
	return rows.map((row) => row.slice(n));
}

/** A cell as the solution sees it. */
export interface SolvedCell {
	cellId: number;
	own: readonly LogRun[];
	log: number;
	variance: number;
	/** Sum of its runs' weights, and of that the share of each tester it was run on, by the tester's place. */
	weight: number;
	shares: readonly { at: number; share: number }[];
}

/** Cells and gains solved together. */
export interface Solved {
	testers: readonly (string | null)[];
	/** Prior sd of the gains. */
	width: number;
	/** Logarithms, and the covariance of all of them. */
	gains: readonly number[];
	covariance: readonly (readonly number[])[];
	cells: readonly SolvedCell[];
}

/** Gains that contradict their prior, by so many of its sds, widen it. */
const CONTRADICTS = 1.5;
/** Rounds until the width of the prior has settled, at most; and when it has. */
const WIDENING = { roundsAtMost: 10, settledShare: 0.01 };

/**
 * Gains with a prior of N(0, 1 %); where those that cells tie together contradict it, with the width they show themselves
 * (expectation and maximization, Dempster, Laird & Rubin 1977), never a smaller one.
 */
export function solve(logs: readonly LogRun[]): Solved {
	const testers = [...new Set(logs.filter((r) => !r.isCompared).map((r) => r.tester))];
	let width = TESTER_GAIN_SD;
	let solved = solveWith(logs, testers, width);
	const tied = [...new Set(solved.cells.flatMap(tiedBy))];
	const squaresOf = ({ gains, covariance }: Solved) => tied.map((i) => gains[i]! ** 2 + covariance[i]![i]!);
	if (squaresOf(solved).every((s) => s < (CONTRADICTS * TESTER_GAIN_SD) ** 2)) return solved;
	for (let round = 0; round < WIDENING.roundsAtMost; round++) {
		const squares = squaresOf(solved);
		const wider = Math.max(TESTER_GAIN_SD, Math.sqrt(squares.reduce((sum, s) => sum + s, 0) / squares.length));
		const settled = Math.abs(wider / width - 1) < WIDENING.settledShare;
		width = wider;
		solved = solveWith(logs, testers, width);
		if (settled) break;
	}
	// A width that few testers tell is itself known badly.
	return solveWith(logs, testers, width * (1 + 0.5 / (tied.length - 1)));
}

/** Testers that a cell ties together, by their place; none where it was run on one. */
export const tiedBy = ({ shares }: SolvedCell): number[] => (shares.length > 1 ? shares.map(({ at }) => at) : []);

/**
 * `ln reading = ln capacity + gain + error`: the cells are eliminated, the testers solved for. A cell touches the few testers it was run
 * on, and nothing else. @param width prior sd of the gains
 */
function solveWith(logs: readonly LogRun[], testers: readonly (string | null)[], width: number): Solved {
	const place = new Map(testers.map((t, i) => [t, i]));
	const matrix = testers.map((_, i) => testers.map((__, j) => (i === j ? 1 / width ** 2 : 0)));
	const right = testers.map(() => 0);
	const parts = [...group(logs, (r) => r.cellId)].map(([cellId, own]) => {
		const weight = own.reduce((sum, r) => sum + r.weight, 0);
		const meanLog = own.reduce((sum, r) => sum + r.weight * r.log, 0) / weight;
		const by = new Map<number, number>();
		for (const r of own) {
			if (r.isCompared) continue;
			const at = place.get(r.tester)!;
			by.set(at, (by.get(at) ?? 0) + r.weight);
			matrix[at]![at]! += r.weight;
			right[at]! += r.weight * (r.log - meanLog);
		}
		const touched = [...by];
		for (const [i, a] of touched) for (const [j, b] of touched) matrix[i]![j]! -= (a * b) / weight;
		return { cellId, own, weight, meanLog, shares: touched.map(([at, w]) => ({ at, share: w / weight })) };
	});
	const covariance = testers.length ? inverted(matrix) : [];
	const gains = covariance.map((row) => row.reduce((sum, c, j) => sum + c * right[j]!, 0));
	return {
		testers,
		width,
		gains,
		covariance,
		cells: parts.map(({ meanLog, ...part }) => ({
			...part,
			log: meanLog - part.shares.reduce((sum, { at, share }) => sum + share * gains[at]!, 0),
			variance:
				1 / part.weight +
				part.shares.reduce((sum, s) => sum + s.share * sumOver(part.shares, (t) => covariance[s.at]![t]!), 0)
		}))
	};
}

/** Mean over a cell's testers of what is asked of each, by their shares. */
export const sumOver = (shares: SolvedCell['shares'], of: (at: number) => number): number =>
	shares.reduce((sum, { at, share }) => sum + share * of(at), 0);
