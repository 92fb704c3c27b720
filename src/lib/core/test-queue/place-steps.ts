import type { QueueKind, Prepared, QueuedCell } from './queue-input';
import { TAPER_H } from './queue-input';

/** A step in hours from the start. */
export interface PlacedStep {
	cell: number;
	kind: QueueKind;
	/** Index of the supply or tester; −1: nothing but time. */
	on: number;
	fromH: number;
	toH: number;
}

/** What takes its turn on a resource: charge, discharge, store of one cell, in the order of a plan. */
export interface Turn {
	cell: number;
	kind: 'charge' | 'discharge' | 'store';
}

export interface Placed {
	steps: PlacedStep[];
	endH: number;
}

const chargeH = (cell: QueuedCell, currentA: number) => (cell.chargeAh > 0 ? cell.chargeAh / currentA + TAPER_H : 0);

/** Hours of each step of a cell on a resource of so many amperes. */
export const hoursOf = {
	charge: chargeH,
	discharge: (cell: QueuedCell, currentA: number) => cell.capacityAh / currentA,
	store: (cell: QueuedCell, currentA: number) => cell.storeAh / currentA
};

/**
 * Puts cells through the queue by a rule: whenever something is free, the ready cell that is first by `rank` takes it, on whatever would
 * be done with it first. Cells that were discharged go before those that wait for their first charge: an empty cell is not left standing.
 * Each start needs somebody who is up.
 * @param rank lower goes first, one a cell
 */
export function placeSteps(queue: Prepared, rank: readonly number[]): Placed {
	const { cells, testers, supplies, soakH, restH, clock, attended } = queue;
	const freeTester = testers.map(() => 0);
	const freeSupply = supplies.map(() => 0);
	const steps: PlacedStep[] = [];
	/** When each cell's next step may begin, and which it is. */
	const next = cells.map((cell): { kind: Turn['kind']; readyH: number } =>
		cell.tested
			? { kind: 'store', readyH: 0 }
			: cell.chargeAh > 0
				? { kind: 'charge', readyH: soakH }
				: { kind: 'discharge', readyH: soakH + restH }
	);
	cells.forEach((cell, i) => {
		if (cell.tested) return;
		if (soakH > 0) steps.push({ cell: i, kind: 'soak', on: -1, fromH: 0, toH: soakH });
		if (cell.chargeAh <= 0 && restH > 0)
			steps.push({ cell: i, kind: 'rest', on: -1, fromH: soakH, toH: soakH + restH });
	});
	const waiting = new Set(cells.flatMap((cell, i) => (cell.tested && cell.storeAh <= 0 ? [] : [i])));
	let endH = 0;
	while (waiting.size > 0) {
		const chosen = earliest(queue, waiting, next, rank, freeTester, freeSupply);
		const { cell: i, on, fromH, toH } = chosen;
		const { kind } = next[i]!;
		steps.push({ cell: i, kind, on, fromH, toH });
		(kind === 'discharge' ? freeTester : freeSupply)[on] = toH;
		endH = Math.max(endH, toH);
		if (kind === 'charge') {
			if (restH > 0) steps.push({ cell: i, kind: 'rest', on: -1, fromH: toH, toH: toH + restH });
			next[i] = { kind: 'discharge', readyH: toH + restH };
		} else if (kind === 'discharge') next[i] = { kind: 'store', readyH: toH };
		else waiting.delete(i);
	}
	return { steps, endH };

	function earliest(
		{ cells: list }: Prepared,
		open: ReadonlySet<number>,
		upcoming: readonly { kind: Turn['kind']; readyH: number }[],
		order: readonly number[],
		testerFree: readonly number[],
		supplyFree: readonly number[]
	): { cell: number; on: number; fromH: number; toH: number } {
		let best: { cell: number; on: number; fromH: number; toH: number; urgent: number; rank: number } | null = null;
		for (const cell of open) {
			const { kind, readyH } = upcoming[cell]!;
			const isTester = kind === 'discharge';
			const resources = isTester ? testers : supplies;
			const free = isTester ? testerFree : supplyFree;
			let own: { on: number; fromH: number; toH: number } | null = null;
			for (const [on, { currentA }] of resources.entries()) {
				const takesH = hoursOf[kind](list[cell]!, currentA);
				const at = Math.max(readyH, free[on]!);
				if (isTester && attended && takesH > clock.lengthH && clock.lengthH < 24) continue;
				const fromH = isTester && attended ? clock.nextAwakeFor(at, takesH) : clock.nextAwake(at);
				if (!own || fromH + takesH < own.toH) own = { on, fromH, toH: fromH + takesH };
			}
			const urgent = kind === 'store' ? 0 : kind === 'discharge' ? 1 : 2;
			if (
				!best ||
				own!.fromH < best.fromH - 1e-9 ||
				(own!.fromH < best.fromH + 1e-9 &&
					(urgent < best.urgent || (urgent === best.urgent && order[cell]! < best.rank)))
			)
				best = { cell, ...own!, urgent, rank: order[cell]! };
		}
		return best!;
	}
}
