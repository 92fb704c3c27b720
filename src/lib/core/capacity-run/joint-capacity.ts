import { greatest, group } from 'd3-array';
import { requireNotNegative, requirePositive } from '../shared';
import { REPEATS_SD, TESTER_GAIN_SD } from './judge-capacity';

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

/** What all runs of a cell say together. */
export interface JointCapacity {
	capacityAh: number;
	sdAh: number;
	runs: number;
	testers: number;
	/** Between the highest and the lowest tester of this cell, Ah, as they read; null with one. */
	testersApartAh: number | null;
}

/** How much more (as a fraction) a tester reads than is true, with its doubt. */
export interface TesterGain {
	tester: string | null;
	gain: number;
	sd: number;
}

/** The two testers that read furthest apart of those that cells tie together. */
export interface TestersApart {
	high: string | null;
	low: string | null;
	/** How much more one reads than the other, as a fraction, with its doubt. */
	fraction: number;
	sd: number;
}

/** A doubt of the usual size, however it was rounded, is no smaller one. */
const ALMOST = 0.98;

interface LogRun {
	cellId: number;
	tester: string | null;
	log: number;
	weight: number;
	/** Its stated doubt is less than that of an uncompared tester: whoever states it has compared, and no gain is looked for. */
	isCompared: boolean;
	sharedSd: number;
}

/** A run on the scale where gains add; its own doubt without that of its tester's gain. */
function onLogScale({ cellId, tester, capacityAh, sdAh, sharedSd = 0 }: StandardRun): LogRun {
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

/** Cells and gains solved together. */
interface Solved {
	testers: readonly (string | null)[];
	/** Logarithms, and the covariance of all of them. */
	gains: readonly number[];
	covariance: readonly (readonly number[])[];
	cells: readonly {
		cellId: number;
		own: readonly LogRun[];
		log: number;
		variance: number;
		onTesters: readonly number[];
	}[];
}

/** Gains that contradict their prior, by so many of its sds, widen it. */
const CONTRADICTS = 1.5;
/** Rounds until the width of the prior has settled, at most; and when it has. */
const WIDENING = { roundsAtMost: 10, settledShare: 0.01 };

/**
 * Gains with a prior of N(0, 1 %); where those that cells tie together contradict it, with the width they show themselves
 * (expectation and maximization, Dempster, Laird & Rubin 1977), never a smaller one.
 */
function solve(logs: readonly LogRun[]): Solved {
	const testers = [...new Set(logs.filter((r) => !r.isCompared).map((r) => r.tester))];
	let width = TESTER_GAIN_SD;
	let solved = solveWith(logs, testers, width);
	const tied = [...new Set(solved.cells.flatMap(({ onTesters }) => (onTesters.length > 1 ? onTesters : [])))];
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

/** `ln reading = ln capacity + gain + error`: the cells are eliminated, the testers solved for. @param width prior sd of the gains */
function solveWith(logs: readonly LogRun[], testers: readonly (string | null)[], width: number): Solved {
	const place = new Map(testers.map((t, i) => [t, i]));
	const cells = [...group(logs, (r) => r.cellId)];
	const matrix = testers.map((_, i) => testers.map((__, j) => (i === j ? 1 / width ** 2 : 0)));
	const right = testers.map(() => 0);
	const parts = cells.map(([cellId, own]) => {
		const weight = own.reduce((sum, r) => sum + r.weight, 0);
		const meanLog = own.reduce((sum, r) => sum + r.weight * r.log, 0) / weight;
		const by = testers.map(() => 0);
		for (const r of own.filter((o) => !o.isCompared)) {
			const i = place.get(r.tester)!;
			by[i]! += r.weight;
			matrix[i]![i]! += r.weight;
			right[i]! += r.weight * (r.log - meanLog);
		}
		for (const [i, a] of by.entries())
			if (a) for (const [j, b] of by.entries()) if (b) matrix[i]![j]! -= (a * b) / weight;
		return { cellId, own, weight, meanLog, share: by.map((w) => w / weight) };
	});
	const covariance = testers.length ? inverted(matrix) : [];
	const gains = covariance.map((row) => row.reduce((sum, c, j) => sum + c * right[j]!, 0));
	return {
		...{ testers, gains, covariance },
		cells: parts.map(({ cellId, own, weight, meanLog, share }) => ({
			...{ cellId, own },
			log: meanLog - share.reduce((sum, s, i) => sum + s * gains[i]!, 0),
			variance:
				1 / weight +
				share.reduce((sum, s, i) => sum + s * share.reduce((inner, t, j) => inner + t * covariance[i]![j]!, 0), 0),
			onTesters: share.flatMap((s, i) => (s ? [i] : []))
		}))
	};
}

/**
 * Capacities of cells and gains of testers estimated together: `ln reading = ln capacity + gain + error`, gains with prior
 * N(0, 1 %), least squares on logarithms. Cells that were run on two testers tie them together; one run on one tester keeps the
 * doubt of that tester.
 * @param runs any order; none gives nothing
 */
export function jointCapacities(runs: readonly StandardRun[]): {
	byCell: Map<number, JointCapacity>;
	gains: TesterGain[];
	/** Null while no cell was run on two testers. */
	apart: TestersApart | null;
} {
	const { testers, gains, covariance, cells } = solve(runs.map(onLogScale));
	const byCell = new Map(
		cells.map(({ cellId, own, log, variance }) => {
			const capacityAh = Math.exp(log);
			const weight = own.reduce((sum, r) => sum + r.weight, 0);
			// The same cold, the same rate: more runs do not make their correction better known.
			const shared = own.reduce((sum, r) => sum + r.weight * r.sharedSd, 0) / weight;
			const sdAh = capacityAh * Math.sqrt(variance + shared ** 2);
			return [cellId, { capacityAh, sdAh, ...compared(own) }] as const;
		})
	);
	const tied = new Set(cells.flatMap(({ onTesters }) => (onTesters.length > 1 ? onTesters : [])));
	return {
		byCell,
		apart: furthestApart(testers, [...tied], gains, covariance),
		gains: testers.map((tester, i) => ({ tester, gain: Math.expm1(gains[i]!), sd: Math.sqrt(covariance[i]![i]!) }))
	};
}

/** A run as it is told from outside: its doubt without that of its tester's gain. */
export interface TesterRun {
	cell: number;
	tester: string;
	capacityAh: number;
	sdAh: number;
}

/** No run repeats better than a millionth: what is called exact is nearly so. */
const LEAST_SD = 1e-6;

/**
 * Gains of testers and capacities of cells from runs whose own doubt is stated: reading = true · (1 + gain), gains with prior
 * N(0, 0.01) and no anchor, as {@link jointCapacities}. One tester alone is left at its prior.
 * @throws CoreError `not-positive`, `negative`
 */
export function estimateTesters(runs: readonly TesterRun[]): {
	cells: { cell: number; capacityAh: number; sdAh: number }[];
	testers: { tester: string; gain: number; sdGain: number }[];
} {
	const logs = runs.map(({ cell, tester, capacityAh, sdAh }, i): LogRun => {
		requirePositive(capacityAh, `runs.${i}.capacityAh`);
		requireNotNegative(sdAh, `runs.${i}.sdAh`);
		const weight = 1 / Math.max(LEAST_SD, sdAh / capacityAh) ** 2;
		return { cellId: cell, tester, log: Math.log(capacityAh), weight, isCompared: false, sharedSd: 0 };
	});
	const { testers, gains, covariance, cells } = solve(logs);
	return {
		cells: cells.map(({ cellId, log, variance }) => {
			return { cell: cellId, capacityAh: Math.exp(log), sdAh: Math.exp(log) * Math.sqrt(variance) };
		}),
		testers: testers.map((tester, i) => {
			const gain = Math.expm1(gains[i]!);
			return { tester: tester!, gain, sdGain: (1 + gain) * Math.sqrt(covariance[i]![i]!) };
		})
	};
}

function furthestApart(
	testers: readonly (string | null)[],
	tied: readonly number[],
	gains: readonly number[],
	covariance: readonly (readonly number[])[]
): TestersApart | null {
	const high = greatest(tied, (i) => gains[i]!);
	const low = greatest(tied, (i) => -gains[i]!);
	if (high === undefined || low === undefined || high === low) return null;
	const variance = covariance[high]![high]! + covariance[low]![low]! - 2 * covariance[high]![low]!;
	return {
		high: testers[high]!,
		low: testers[low]!,
		fraction: Math.expm1(gains[high]! - gains[low]!),
		sd: Math.sqrt(variance)
	};
}

/** How many runs and testers there were, and how far the testers are apart as they read. */
function compared(own: readonly LogRun[]): Pick<JointCapacity, 'runs' | 'testers' | 'testersApartAh'> {
	const read = [...group(own, (r) => r.tester).values()].map((list) =>
		Math.exp(list.reduce((sum, r) => sum + r.weight * r.log, 0) / list.reduce((sum, r) => sum + r.weight, 0))
	);
	const testersApartAh = read.length > 1 ? Math.max(...read) - Math.min(...read) : null;
	return { runs: own.length, testers: read.length, testersApartAh };
}
