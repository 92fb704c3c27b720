import { TAPER_H, type QueueKind, type Prepared, type QueuedCell } from './queue-input';

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

/** Most urgent first: an empty cell is not left standing. */
const BY_URGENCY = ['store', 'discharge', 'charge'] as const satisfies Turn['kind'][];
const EPSILON_H = 1e-9;

/**
 * Puts cells through the queue by a rule: whenever something is free, the ready cell that is first by `rank` takes it, on whatever would
 * be done with it first. Cells that were discharged go before those that wait for their first charge. Each start needs somebody who is up.
 * @param rank lower goes first, one a cell
 */
export function placeSteps(queue: Prepared, rank: readonly number[]): Placed {
	const { cells, soakH, restH } = queue;
	const steps: PlacedStep[] = [];
	const starts = earliestStarts(queue);
	/** Cells that wait for a step of each kind, by rank. */
	const waiting: Record<Turn['kind'], number[]> = { store: [], discharge: [], charge: [] };
	const waits = (cell: number, kind: Turn['kind'], readyH: number) => {
		starts.ready(cell, readyH);
		const line = waiting[kind];
		let place = line.length;
		while (place > 0 && rank[line[place - 1]!]! > rank[cell]!) place--;
		line.splice(place, 0, cell);
	};
	const rests = (cell: number, fromH: number) => {
		if (restH > 0) steps.push({ cell, kind: 'rest', on: -1, fromH, toH: fromH + restH });
		return fromH + restH;
	};
	const byRank = cells.map((_, i) => i).sort((a, b) => rank[a]! - rank[b]!);
	for (const i of byRank) {
		const { tested, chargeAh, storeAh } = cells[i]!;
		if (!tested && soakH > 0) steps.push({ cell: i, kind: 'soak', on: -1, fromH: 0, toH: soakH });
		if (!tested && chargeAh > 0) waits(i, 'charge', soakH);
		else if (!tested) waits(i, 'discharge', rests(i, soakH));
		else if (storeAh > 0) waits(i, 'store', 0);
	}
	let endH = 0;
	for (;;) {
		const chosen = firstToBegin(waiting, starts);
		if (!chosen) return { steps, endH };
		const { cell, kind, on, fromH, toH } = chosen;
		waiting[kind].splice(waiting[kind].indexOf(cell), 1);
		steps.push({ cell, kind, on, fromH, toH });
		starts.taken(kind, on, toH);
		endH = Math.max(endH, toH);
		if (kind === 'charge') waits(cell, 'discharge', rests(cell, toH));
		else if (kind === 'discharge') waits(cell, 'store', toH);
	}
}

interface Start {
	on: number;
	fromH: number;
	toH: number;
}
type Starts = ReturnType<typeof earliestStarts>;

/** What can begin first; of several the most urgent, then by rank. Null: nothing waits. */
function firstToBegin(waiting: Readonly<Record<Turn['kind'], readonly number[]>>, starts: Starts) {
	let best: (Start & { cell: number; kind: Turn['kind'] }) | null = null;
	for (const kind of BY_URGENCY) {
		const soonestH = starts.soonestH(kind);
		for (const cell of waiting[kind]) {
			// Nobody behind it in the line begins earlier.
			if (best !== null && soonestH > best.fromH - EPSILON_H) break;
			const start = starts.of(cell, kind);
			if (best === null || start.fromH < best.fromH - EPSILON_H) best = { cell, kind, ...start };
		}
	}
	return best;
}

/**
 * When each cell could begin at the earliest, and on what it would be done first. Whoever is up by then is asked of the clock once for each
 * time that something becomes ready or free: the later of two moments is never followed by the earlier getting up.
 */
function earliestStarts({ cells, testers, supplies, clock, attended }: Prepared) {
	const resourcesOf = { charge: supplies, discharge: testers, store: supplies };
	const free = { tester: testers.map(() => 0), supply: supplies.map(() => 0) };
	const awake = {
		tester: testers.map(() => clock.nextAwake(0)),
		supply: supplies.map(() => clock.nextAwake(0))
	};
	const readyH = Array<number>(cells.length).fill(0);
	const readyAwakeH = Array<number>(cells.length).fill(0);
	const onWhat = (kind: Turn['kind']) => (kind === 'discharge' ? 'tester' : 'supply');
	const stays = attended && clock.lengthH < 24;
	return {
		ready(cell: number, hour: number): void {
			readyH[cell] = hour;
			readyAwakeH[cell] = clock.nextAwake(hour);
		},
		taken(kind: Turn['kind'], on: number, untilH: number): void {
			free[onWhat(kind)][on] = untilH;
			awake[onWhat(kind)][on] = clock.nextAwake(untilH);
		},
		/** No step of a kind begins earlier, whatever its cell. */
		soonestH: (kind: Turn['kind']): number => Math.min(...awake[onWhat(kind)]),
		of(cell: number, kind: Turn['kind']): Start {
			const from = awake[onWhat(kind)];
			const mustStay = stays && kind === 'discharge';
			let [on, fromH, toH] = [-1, Infinity, Infinity];
			resourcesOf[kind].forEach(({ currentA }, at) => {
				const takesH = hoursOf[kind](cells[cell]!, currentA);
				if (mustStay && takesH > clock.lengthH) return;
				const begins = mustStay
					? clock.nextAwakeFor(Math.max(readyH[cell]!, free.tester[at]!), takesH)
					: Math.max(readyAwakeH[cell]!, from[at]!);
				if (on < 0 || begins + takesH < toH) [on, fromH, toH] = [at, begins, begins + takesH];
			});
			return { on, fromH, toH };
		}
	};
}
