import { rollup } from 'd3-array';
import { chanceOfDeciding } from '../sampling';
import { jointCapacities, type StandardRun } from './joint-capacity';
import { REPEATS_SD, TESTER_GAIN_SD } from './judge-capacity';

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
const MOST_PAIRED = 4;
const MOST_SINGLE = 12;
/** Fewer decided cells are not worth a day. */
const WORTH_FROM = 0.05;

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
	const testersOf = rollup(
		runs,
		(own) => new Set(own.map((r) => r.tester)),
		(r) => r.cellId
	);
	const onTesters = (cellId: number) => testersOf.get(cellId)!;
	const thought = (cellId: number, tester: string | null): StandardRun => {
		const { capacityAh } = byCell.get(cellId)!;
		return { cellId, tester, capacityAh, sdAh: capacityAh * Math.hypot(TESTER_GAIN_SD, REPEATS_SD) };
	};
	const worth = (extra: readonly StandardRun[]): NextRuns => {
		const after = jointCapacities([...runs, ...extra]).byCell;
		const decides = known.reduce((sum, { cellId, wantedAh }) => {
			const now = byCell.get(cellId)!;
			const then = after.get(cellId)!.sdAh;
			const told = 1 / then ** 2 - 1 / now.sdAh ** 2;
			return told <= 0 ? sum : sum + chanceOfDeciding(now.capacityAh, now.sdAh, 1 / Math.sqrt(told), wantedAh);
		}, 0);
		const hours = extra.reduce((sum, r) => sum + known.find((c) => c.cellId === r.cellId)!.hours, 0);
		return { runs: extra.map(({ cellId, tester }) => ({ cellId, tester })), decides, hours };
	};
	const singles = known
		.slice(0, MOST_SINGLE)
		.flatMap(({ cellId }) =>
			testers.filter((t) => !onTesters(cellId).has(t)).map((tester) => worth([thought(cellId, tester)]))
		);
	const swaps = testers.flatMap((a, i) =>
		testers.slice(i + 1).flatMap((b) => {
			const only = (mine: string | null, other: string | null) =>
				known
					.filter(({ cellId }) => onTesters(cellId).has(mine) && !onTesters(cellId).has(other))
					.slice(0, MOST_PAIRED);
			return only(a, b).flatMap((x) => only(b, a).map((y) => worth([thought(x.cellId, b), thought(y.cellId, a)])));
		})
	);
	const best = [...singles, ...swaps].sort((x, y) => y.decides / y.hours - x.decides / x.hours)[0];
	return best && best.decides >= WORTH_FROM ? best : null;
}
