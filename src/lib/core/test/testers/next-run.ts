import { rollup } from 'd3-array';
import { chanceOfDeciding } from '../sampling';
import { jointCapacities } from './joint-capacity';
import { onLogScale, solve, sumOver, type StandardRun, type Solved } from './solve-testers';
import { REPEATS_SD } from '../capacity';

/** A cell that nothing has decided yet. */
export interface UndecidedCell {
	cellId: number;
	/** What it is held against, Ah. */
	wantedAh: number;
	/** Of a charge and a discharge, h. */
	hours: number;
}

/** Runs to be made next, and what they are worth. */
export interface NextRuns {
	runs: { cellId: number; tester: string | null }[];
	/** How many cells they decide, on average, as it looks now. */
	decides: number;
	hours: number;
}

/** Cells compared in pairs: those most in doubt of each tester. */
const MAX_PAIRED = 4;
const MAX_SINGLE = 12;
/** Pairs of testers that are looked at, those with most undecided cells first. */
const MAX_SWAPS = 30;
/** Testers a cell is run on in thought by itself: those whose gain is known best, and those nothing was run on yet. */
const MAX_TESTERS = 12;
/** Fewer decided cells are not worth a day. */
const WORTH_FROM = 0.05;

/** A variance that falls by less than this share of itself decides nothing. */
const NOTHING = 0.005;

/** A run made in thought. */
export interface Thought {
	cellId: number;
	tester: string | null;
}

/** A run's own doubt, its tester's gain left out. */
const OWN_VARIANCE = REPEATS_SD ** 2;

/**
 * By how much the variance of each cell falls if one or two runs were made. A run in thought reads what is expected: it moves no figure and
 * narrows all that hangs together with its cell and its tester, one run after the other (Kalman).
 * @returns by cell, as the solution lists them
 */
export function narrowedBy(solved: Solved): (runs: readonly Thought[]) => Float64Array {
	const place = new Map(solved.testers.map((t, i) => [t, i]));
	const index = new Map(solved.cells.map((c, i) => [c.cellId, i]));
	const { covariance, cells } = solved;
	/** Covariance of each gain, and of each cell, with what a run would read; and its variance without its own doubt. */
	const reads = ({ cellId, tester }: Thought) => {
		const [at, own] = [place.get(tester), index.get(cellId)!];
		const { shares, variance } = cells[own]!;
		const gains = covariance.map((row) => (at === undefined ? 0 : row[at]!) - sumOver(shares, (i) => row[i]!));
		const ofCells = Float64Array.from(cells, (c) => -sumOver(c.shares, (i) => gains[i]!));
		// The cell itself, with what its own runs leave.
		ofCells[own] = variance - (at === undefined ? 0 : sumOver(shares, (i) => covariance[i]![at]!));
		const ofGain = at === undefined ? solved.width ** 2 : gains[at]!;
		return { own, at, gains, ofCells, variance: ofCells[own]! + ofGain };
	};
	return ([first, second]) => {
		const one = reads(first!);
		const oneVariance = one.variance + OWN_VARIANCE;
		if (!second) return one.ofCells.map((c) => c ** 2 / oneVariance);
		const two = reads(second);
		const isSameNew = one.at === undefined && two.at === undefined && first!.tester === second.tester;
		const ofGain = isSameNew ? solved.width ** 2 : two.at === undefined ? 0 : one.gains[two.at]!;
		const between = one.ofCells[two.own]! + ofGain;
		const twoVariance = two.variance + OWN_VARIANCE - between ** 2 / oneVariance;
		return one.ofCells.map((c, i) => {
			const rest = two.ofCells[i]! - (c * between) / oneVariance;
			return c ** 2 / oneVariance + rest ** 2 / twoVariance;
		});
	};
}

/**
 * Which run, or which two cells that change testers, decides most for its hours. The runs are made in thought where the estimate stands now,
 * all cells and testers solved together as {@link jointCapacities}: a swap also tells every other cell of both testers.
 * @param runs as they are, at standard conditions; @param testers what there is to run on; null: the one nobody named
 * @returns null while nothing is worth it
 */
export function nextRuns(
	runs: readonly StandardRun[],
	undecided: readonly UndecidedCell[],
	testers: readonly (string | null)[]
): NextRuns | null {
	const { byCell } = jointCapacities(runs);
	const known = undecided.filter((cell) => byCell.has(cell.cellId));
	if (known.length === 0) return null;
	const solved = solve(runs.map(onLogScale));
	const placeOf = new Map(solved.cells.map((c, i) => [c.cellId, i]));
	const falls = narrowedBy(solved);
	const hoursOf = new Map(known.map((c) => [c.cellId, c.hours]));
	const testersOf = rollup(
		runs,
		(own) => new Set(own.map((r) => r.tester)),
		(r) => r.cellId
	);
	const onTesters = (cellId: number) => testersOf.get(cellId)!;
	const worth = (extra: readonly Thought[]): NextRuns => {
		const fallen = falls(extra);
		const decides = known.reduce((sum, { cellId, wantedAh }) => {
			const now = byCell.get(cellId)!;
			const variance = (now.sdAh / now.capacityAh) ** 2;
			const fall = fallen[placeOf.get(cellId)!]!;
			if (fall < NOTHING * variance) return sum;
			const told = (1 / Math.max(1e-12, variance - fall) - 1 / variance) / now.capacityAh ** 2;
			return sum + chanceOfDeciding(now.capacityAh, now.sdAh, 1 / Math.sqrt(told), wantedAh);
		}, 0);
		const hours = extra.reduce((sum, r) => sum + hoursOf.get(r.cellId)!, 0);
		return { runs: extra.map(({ cellId, tester }) => ({ cellId, tester })), decides, hours };
	};
	const doubtOf = new Map(solved.testers.map((t, i) => [t, solved.covariance[i]![i]!]));
	const bestKnown = [...testers].sort((a, b) => (doubtOf.get(a) ?? 0) - (doubtOf.get(b) ?? 0)).slice(0, MAX_TESTERS);
	const singles = known
		.slice(0, MAX_SINGLE)
		.flatMap(({ cellId }) =>
			bestKnown.filter((t) => !onTesters(cellId).has(t)).map((tester) => worth([{ cellId, tester }]))
		);
	const only = (mine: string | null, other: string | null) =>
		known.filter(({ cellId }) => onTesters(cellId).has(mine) && !onTesters(cellId).has(other)).slice(0, MAX_PAIRED);
	const undecidedOn = rollup(
		known.flatMap(({ cellId }) => [...onTesters(cellId)]),
		(all) => all.length,
		(tester) => tester
	);
	const pairs = testers
		.flatMap((a, i) => testers.slice(i + 1).map((b) => [a, b] as const))
		.map(([a, b]) => ({ a, b, cells: Math.min(undecidedOn.get(a) ?? 0, undecidedOn.get(b) ?? 0) }))
		.filter(({ cells }) => cells > 0)
		.sort((x, y) => y.cells - x.cells)
		.slice(0, MAX_SWAPS);
	const swaps = pairs.flatMap(({ a, b }) =>
		only(a, b).flatMap((x) =>
			only(b, a).map((y) =>
				worth([
					{ cellId: x.cellId, tester: b },
					{ cellId: y.cellId, tester: a }
				])
			)
		)
	);
	const best = [...singles, ...swaps].sort((x, y) => y.decides / y.hours - x.decides / x.hours)[0];
	return best && best.decides >= WORTH_FROM ? best : null;
}
