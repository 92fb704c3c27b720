import { greatest, group } from 'd3-array';
import { requireNotNegative, requirePositive } from '../../foundation/errors';
import { onLogScale, solve, tiedBy, type LogRun, type StandardRun } from './solve-testers';

export type { StandardRun } from './solve-testers';

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
	const tied = new Set(cells.flatMap(tiedBy));
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
const MIN_SD = 1e-6;

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
		const weight = 1 / Math.max(MIN_SD, sdAh / capacityAh) ** 2;
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
