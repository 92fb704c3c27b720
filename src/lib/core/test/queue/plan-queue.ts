import { max, min, sum } from 'd3-array';
import { offsetAt } from '../../foundation/time';
import { seededRandom } from '../../foundation/statistics';
import { hoursOf, placeSteps, type Placed } from './place-steps';
import { prepareQueue, type Prepared, type QueueId, type QueueInput, type QueueKind } from './queue-input';

export interface QueueStep {
	cellId: QueueId;
	kind: QueueKind;
	/** The supply or tester; null while it only waits. */
	on: QueueId | null;
	from: string;
	to: string;
	/** Somebody connects, disconnects, or stays by it. */
	needsPerson: boolean;
}

export interface QueuePlan {
	steps: QueueStep[];
	endsAt: string;
	/** No plan with these things can end before. */
	boundEndsAt: string;
	/** What would shorten it, most first. */
	buy: { what: string; savesH: number }[];
}

const HOUR_MS = 3_600_000;
/** Swaps of two cells tried in the best of the plain orders: fewer the larger the queue, none in the largest. */
const TRIES = { work: 6e7, most: 240 };
const SEED = 20_261_129;
/** Less is not worth buying anything for, h. */
const WORTH_H = 0.5;

/**
 * A timetable for testing cells one by one: soak, charge, rest, discharge, back to storage charge; no supply or tester has two cells at once,
 * every step that needs a person begins while somebody is up, and a discharge that may not be left alone lies within waking hours.
 * Cells that should be tested by a day come first where the order can save that day; then the earliest end counts. The best of many orders
 * (list scheduling, then swaps of two cells); the bound is of the work alone.
 * @throws CoreError as `prepareQueue`
 */
export function planQueue(input: QueueInput): QueuePlan {
	const queue = prepareQueue(input);
	const best = bestPlan(queue);
	const boundH = Math.min(best.endH, lowerBoundH(queue));
	return {
		steps: stepsOf(queue, best),
		endsAt: isoAt(queue, best.endH),
		boundEndsAt: isoAt(queue, boundH),
		buy: whatToBuy(queue, best.endH)
	};
}

/** The timetable of {@link planQueue} alone, in a fifth of the time. @throws CoreError as `prepareQueue` */
export function queueSteps(input: QueueInput): QueueStep[] {
	const queue = prepareQueue(input);
	return stepsOf(queue, bestPlan(queue));
}

const stepsOf = (queue: Prepared, { steps }: Placed): QueueStep[] =>
	[...steps]
		.sort((a, b) => a.fromH - b.fromH || a.cell - b.cell || a.toH - b.toH)
		.map(({ cell, kind, on, fromH, toH }) => ({
			cellId: queue.cells[cell]!.id,
			kind,
			from: isoAt(queue, fromH),
			to: isoAt(queue, toH),
			on: on < 0 ? null : (kind === 'discharge' ? queue.testers : queue.supplies)[on]!.id,
			needsPerson: kind !== 'rest' && kind !== 'soak'
		}));

/** ISO 8601 with the local offset of that moment. */
function isoAt({ startMs, offsets }: Prepared, hour: number): string {
	const ms = startMs + Math.round(hour * HOUR_MS);
	const offsetMin = offsetAt(offsets, ms);
	if (offsetMin === 0) return new Date(ms).toISOString();
	const local = new Date(ms + offsetMin * 60_000).toISOString().slice(0, -1);
	const size = Math.abs(offsetMin);
	const two = (n: number) => String(n).padStart(2, '0');
	return `${local}${offsetMin < 0 ? '-' : '+'}${two(Math.floor(size / 60))}:${two(size % 60)}`;
}

function bestPlan(queue: Prepared): Placed {
	const n = queue.cells.length;
	const cost = n * n * (queue.testers.length + queue.supplies.length) * 3;
	const tries = Math.min(TRIES.most, Math.floor(TRIES.work / cost));
	const random = seededRandom(SEED);
	const byAh = queue.cells.map((c, i) => ({ i, ah: c.capacityAh + c.chargeAh }));
	const rankOf = (order: readonly { i: number }[]) => {
		const rank = Array<number>(n).fill(0);
		order.forEach(({ i }, place) => (rank[i] = place));
		return rank;
	};
	const byDeadline = queue.cells.map((c, i) => ({ i, byH: c.testByH ?? Infinity }));
	const plain = [
		queue.cells.map((_, i) => i),
		rankOf([...byAh].sort((a, b) => b.ah - a.ah)),
		rankOf([...byAh].sort((a, b) => a.ah - b.ah)),
		// Stable: of one deadline those that come first stay first.
		rankOf(byDeadline.sort((a, b) => (a.byH === b.byH ? 0 : a.byH - b.byH)))
	];
	let bestRank = plain[0]!;
	let best = placeSteps(queue, bestRank);
	let late = latenessH(queue, best);
	const consider = (rank: number[]) => {
		const placed = placeSteps(queue, rank);
		const own = latenessH(queue, placed);
		// A claim that is missed weighs more than any hour of the end.
		if (own > late + 1e-9 || (own > late - 1e-9 && placed.endH >= best.endH - 1e-9)) return;
		best = placed;
		late = own;
		bestRank = rank;
	};
	plain.slice(1).forEach(consider);
	const boundH = lowerBoundH(queue);
	for (let t = 0; t < tries && n > 1 && (best.endH > boundH + 1e-6 || late > 1e-6); t++) {
		const rank = [...bestRank];
		const [a, b] = [Math.floor(random() * n), Math.floor(random() * n)];
		[rank[a], rank[b]] = [rank[b]!, rank[a]!];
		consider(rank);
	}
	return best;
}

/** By how much discharges end after the days their cells should be tested by, hours in all. */
const latenessH = ({ cells }: Prepared, { steps }: Placed): number =>
	steps.reduce((total, { cell, kind, toH }) => {
		const byH = cells[cell]!.testByH;
		return kind === 'discharge' && byH !== null ? total + Math.max(0, toH - byH) : total;
	}, 0);

/**
 * No plan ends earlier, hours from the start: the work on each kind of resource shared out as if it could be cut anywhere, with what must
 * come before the first and after the last of it; and the longest way of one cell on the best of everything.
 */
export function lowerBoundH(queue: Prepared): number {
	const { testers, supplies, soakH, restH, clock, attended } = queue;
	const cells = queue.cells.filter((c) => !c.tested);
	const backOnly = queue.cells.filter((c) => c.tested);
	const best = { tester: max(testers, (t) => t.currentA)!, supply: max(supplies, (s) => s.currentA)! };
	const charge = cells.map((c) => hoursOf.charge(c, best.supply));
	const discharge = cells.map((c) => hoursOf.discharge(c, best.tester));
	const store = cells.map((c) => hoursOf.store(c, best.supply));
	const began = clock.nextAwake(soakH);
	const backA = sum(supplies, (s) => s.currentA);
	const back = clock.nextAwake(0) + sum(backOnly, (c) => c.storeAh) / backA;
	if (cells.length === 0) return back;
	const alone = max(cells, (_, i) => {
		const from = charge[i]! > 0 ? began + charge[i]! + restH : soakH + restH;
		const at = attended ? clock.nextAwakeFor(from, discharge[i]!) : clock.nextAwake(from);
		return clock.nextAwake(at + discharge[i]!) + store[i]!;
	})!;
	// The taper takes its time on every supply; ampere-hours are shared out by amperes.
	const supplyA = sum(supplies, (s) => s.currentA);
	const testerA = sum(testers, (t) => t.currentA);
	const chargeAh = sum(cells, (c) => c.chargeAh + c.storeAh);
	const onSupplies = began + chargeAh / supplyA;
	const head = min(charge)! + restH + soakH;
	// Attended discharges go on only while somebody is up: of each day that share.
	const daily = attended && clock.lengthH < 24 ? clock.lengthH : 24;
	const dischargeH = sum(cells, (c) => c.capacityAh) / testerA;
	const wholeDays = Math.max(0, Math.ceil(dischargeH / daily - 1e-9) - 1);
	const onTesters = head + dischargeH + wholeDays * (24 - daily) + min(store)!;
	return Math.max(alone, back, onSupplies, onTesters);
}

function whatToBuy(queue: Prepared, endH: number): QueuePlan['buy'] {
	const largest = <T extends { currentA: number }>(list: readonly T[]) =>
		list.reduce((a, b) => (b.currentA > a.currentA ? b : a));
	const tester = largest(queue.testers);
	const supply = largest(queue.supplies);
	const always = { ...queue.clock, lengthH: 24, nextAwake: (h: number) => h, nextAwakeFor: (h: number) => h };
	const other: { what: string; queue: Prepared }[] = [
		{
			what: `another tester of ${tester.currentA} A`,
			queue: { ...queue, testers: [...queue.testers, { id: 'another', currentA: tester.currentA }] }
		},
		{
			what: `another supply of ${supply.currentA} A`,
			queue: { ...queue, supplies: [...queue.supplies, { id: 'another', currentA: supply.currentA }] }
		},
		{
			what: `another tester of ${tester.currentA} A and another supply of ${supply.currentA} A`,
			queue: {
				...queue,
				testers: [...queue.testers, { id: 'another', currentA: tester.currentA }],
				supplies: [...queue.supplies, { id: 'another', currentA: supply.currentA }]
			}
		},
		...(queue.attended
			? [{ what: 'a load that may run unattended', queue: { ...queue, attended: false } }]
			: queue.clock.lengthH < 24
				? [{ what: 'somebody who changes cells by night', queue: { ...queue, clock: always } }]
				: [])
	];
	return other
		.map(({ what, queue: with_ }) => ({ what, savesH: endH - bestPlan(with_).endH }))
		.filter((b) => b.savesH >= WORTH_H)
		.sort((a, b) => b.savesH - a.savesH);
}
