import { seededRandom } from '../../foundation/statistics';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	costOfMove,
	judgeMatch,
	matchCells,
	smallestGroupP05Ah,
	whatGroupsHold,
	type MatchCell,
	type MatchControl
} from '.';

/** A clock that ticks a little at every look, so that a test never depends on the machine. */
const control = (timeLimitS = 1000): MatchControl => {
	let ticks = 0;
	return { timeLimitS, clockS: () => ++ticks / 100 };
};
const cells = (capacities: number[], extra: (i: number) => Partial<MatchCell> = () => ({})): MatchCell[] =>
	capacities.map((capacityAh, i) => ({ id: i + 1, capacityAh, ...extra(i) }));

/** Every way to choose and group, tried: the reference for small cases. */
function bruteForce(capacities: number[], series: number, parallel: number): { smallest: number; spread: number } {
	let best = { smallest: -Infinity, spread: Infinity };
	const groups: number[][] = [];
	const used = new Set<number>();
	const visit = () => {
		if (groups.length === series) {
			const sums = groups.map((g) => g.reduce((a, i) => a + capacities[i]!, 0));
			const smallest = Math.min(...sums);
			const spread = Math.max(...sums) - smallest;
			if (smallest > best.smallest + 1e-9 || (Math.abs(smallest - best.smallest) <= 1e-9 && spread < best.spread))
				best = { smallest, spread };
			return;
		}
		const choose = (group: number[], from: number) => {
			if (group.length === parallel) {
				groups.push(group);
				group.forEach((i) => used.add(i));
				visit();
				group.forEach((i) => used.delete(i));
				groups.pop();
				return;
			}
			for (let i = from; i < capacities.length; i++) if (!used.has(i)) choose([...group, i], i + 1);
		};
		choose([], 0);
	};
	visit();
	return best;
}

describe('matching by hand', () => {
	it('folds 4S2P: 10+1, 9+2, 8+3, 7+4', () => {
		const result = matchCells({ series: 4, parallel: 2, cells: cells([1, 10, 2, 9, 3, 8, 4, 7]) }, control());
		expect(result.groups.map((g) => g.capacityAh)).toEqual([11, 11, 11, 11]);
		expect(result).toMatchObject({
			smallestGroupAh: 11,
			spreadAh: 0,
			proven: true,
			spreadProven: true,
			upperBoundAh: 11
		});
		expect(result.arrivalOrder).toEqual({ smallestGroupAh: 11, spreadAh: 0 });
	});
	it('takes the largest four of six for 4S1P and leaves the rest as spares', () => {
		const result = matchCells({ series: 4, parallel: 1, cells: cells([100, 95, 99, 98, 90, 97]) }, control());
		expect(result).toMatchObject({ smallestGroupAh: 97, spreadAh: 3, proven: true });
		expect([...result.spares].sort()).toEqual([2, 5]);
		expect(result.arrivalOrder).toEqual({ smallestGroupAh: 95, spreadAh: 5 });
	});
	it('swaps a cell for a spare to lower the largest group', () => {
		// The four largest fold to 14 and 16; with the second 4 in place of the 6, both groups hold 14.
		const result = matchCells({ series: 2, parallel: 2, cells: cells([10, 10, 6, 4, 4]) }, control());
		expect(result).toMatchObject({ smallestGroupAh: 14, spreadAh: 0 });
		expect(result.spares).toEqual([3]);
	});
	it('breaks a tie of capacity by resistance', () => {
		const result = matchCells(
			{
				series: 2,
				parallel: 2,
				cells: cells([100, 100, 100, 100], (i) => ({ resistanceMohm: [0.2, 0.2, 0.1, 0.1][i] }))
			},
			control()
		);
		for (const group of result.groups) expect(group.resistanceMohm!).toBeCloseTo(1 / 15, 9);
	});
	it('keeps batches together or apart when all else is equal', () => {
		const four = cells([100, 100, 100, 100], (i) => ({ batch: i % 2 ? 'a' : 'b' }));
		const batches = (wish: 'together' | 'apart') =>
			matchCells({ series: 2, parallel: 2, cells: four, batchWish: wish }, control()).groups.map(
				(g) => new Set(g.cellIds.map((id) => Number(id) % 2)).size
			);
		expect(batches('together')).toEqual([1, 1]);
		expect(batches('apart')).toEqual([2, 2]);
	});
});

describe('matching against every possibility', () => {
	it.each([
		[1, 3, 5],
		[3, 2, 7],
		[2, 3, 7],
		[3, 3, 9],
		[2, 4, 9]
	])('%iS%iP of %i cells', (series, parallel, n) => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 180, max: 240 }), { minLength: n, maxLength: n }), (capacities) => {
				const best = bruteForce(capacities, series, parallel);
				const result = matchCells({ series, parallel, cells: cells(capacities) }, control());
				expect(result.smallestGroupAh).toBeCloseTo(best.smallest, 9);
				expect(result.spreadAh).toBeCloseTo(best.spread, 9);
				expect(result.proven && result.spreadProven).toBe(true);
			}),
			{ numRuns: 25 }
		);
	});
	it('uses every cell at most once, never beats its bound, never loses to the order of arrival', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 90, max: 110, noNaN: true }), { minLength: 24, maxLength: 30 }),
				(capacities) => {
					const result = matchCells({ series: 8, parallel: 3, cells: cells(capacities) }, control(2));
					const used = result.groups.flatMap((g) => g.cellIds);
					expect(new Set([...used, ...result.spares]).size).toBe(capacities.length);
					expect(used.length).toBe(24);
					expect(result.smallestGroupAh).toBeLessThanOrEqual(result.upperBoundAh + 1e-9);
					expect(result.smallestGroupAh).toBeGreaterThanOrEqual(result.arrivalOrder.smallestGroupAh - 1e-9);
				}
			),
			{ numRuns: 10 }
		);
	});
});

describe('matching with doubt, progress and cancel', () => {
	it('avoids pairing two doubtful cells when asked to be robust', () => {
		const doubtful = cells([100, 100, 100, 100], (i) => ({ capacitySdAh: i < 2 ? 8 : 0.1 }));
		const result = matchCells({ series: 2, parallel: 2, cells: doubtful, robust: true }, control());
		for (const group of result.groups) expect(group.capacitySdAh).toBeCloseTo(Math.hypot(8, 0.1), 9);
	});
	it('reports progress and stops when cancelled, with a usable answer', () => {
		const stages: string[] = [];
		let calls = 0;
		const result = matchCells(
			{ series: 8, parallel: 4, cells: cells(Array.from({ length: 36 }, (_, i) => 200 + ((i * 7919) % 97) / 10)) },
			{ ...control(), onProgress: (p) => stages.push(p.stage), cancelled: () => ++calls > 20 }
		);
		expect(stages[0]).toBe('arranging');
		expect(stages.at(-1)).toBe('done');
		expect(result.cancelled).toBe(true);
		expect(result.groups).toHaveLength(8);
	});
	it('refuses too few cells, a double id and a nonsense layout by path', () => {
		expect(() => matchCells({ series: 4, parallel: 2, cells: cells([1, 2, 3]) }, control())).toThrow(
			/4S2P requires 8 cells, got 3/
		);
		expect(() =>
			matchCells(
				{
					series: 1,
					parallel: 2,
					cells: [
						{ id: 1, capacityAh: 1 },
						{ id: 1, capacityAh: 2 }
					]
				},
				control()
			)
		).toThrow(/got 1 twice/);
		expect(() => matchCells({ series: 0, parallel: 2, cells: [] }, control())).toThrow(
			/series requires a whole number/
		);
	});
});

it('gives the smallest group at its 5 % quantile: 100 ± 3 and 100 ± 4 give 200 − 1.645 × 5', () => {
	const problem = { series: 1, parallel: 2, cells: cells([100, 100], (i) => ({ capacitySdAh: 3 + i })) };
	expect(smallestGroupP05Ah(problem, [[1, 2]])).toBeCloseTo(200 - 1.6448536 * 5, 5);
	expect(matchCells(problem, control()).smallestGroupP05Ah).toBeCloseTo(200 - 1.6448536 * 5, 5);
});

it('says what a move by hand costs', () => {
	const problem = { series: 2, parallel: 2, cells: cells([10, 1, 9, 2]) };
	expect(
		costOfMove(
			problem,
			[
				[1, 2],
				[3, 4]
			],
			[
				[1, 3],
				[2, 4]
			]
		)
	).toEqual({ smallestChangeAh: -8, spreadChangeAh: 16 });
});

it('of sixteen groups that read alike the smallest holds less than any reads; of one, what it reads', () => {
	const read = (n: number) => Array.from({ length: n }, (_, id) => ({ id, capacityAh: 100, capacitySdAh: 1 }));
	const groups = (n: number) => read(n).map((c) => [c.id]);
	const one = whatGroupsHold({ series: 1, parallel: 1, cells: read(1) }, groups(1)).smallestAh;
	expect(one.likely).toBeCloseTo(100, 0);
	expect(one.low95).toBeCloseTo(98.04, 0);
	const many = whatGroupsHold({ series: 16, parallel: 1, cells: read(16) }, groups(16)).smallestAh;
	// The mean smallest of sixteen normal draws lies 1.77 sd below; cells that read alike are more alike than their doubt.
	expect(many.likely).toBeLessThan(99.9);
	expect(many.likely).toBeGreaterThan(98.2);
	expect(many.high95).toBeLessThan(100.6);
	const sure = [{ id: 1, capacityAh: 100 }];
	expect(whatGroupsHold({ series: 1, parallel: 1, cells: sure }, [[1]]).smallestAh).toEqual({
		low95: 100,
		likely: 100,
		high95: 100
	});
});

it('what was chosen because it reads best gains less than it reads; sure readings gain what they say', () => {
	const read = [104, 103, 102, 101, 100, 99, 98, 97].map((capacityAh, i) => ({ id: i, capacityAh: 201 - capacityAh }));
	const best = [[7], [6], [5], [4]];
	const problem = (capacitySdAh: number) => ({
		series: 4,
		parallel: 1,
		cells: read.map((c) => ({ ...c, capacitySdAh }))
	});
	// As read: 101 as the smallest of the chosen, 97 in order of arrival.
	expect(whatGroupsHold(problem(0), best).gainAh).toEqual({ low95: 4, likely: 4, high95: 4 });
	const { low95, likely, high95 } = whatGroupsHold(problem(2), best).gainAh;
	expect(likely).toBeLessThan(4);
	expect(likely).toBeGreaterThan(0.5);
	expect(low95).toBeLessThan(likely);
	expect(high95).toBeLessThan(8);
});

it('stops a set that should not be built', () => {
	const judged = (capacities: number[]) => {
		const result = matchCells({ series: 2, parallel: 1, cells: cells(capacities) }, control());
		const { smallestGroupAh: arrivalSmallestAh } = result.arrivalOrder;
		const nothing = { low95: 0, likely: 0, high95: 0 };
		return judgeMatch(
			{ ...result, groupSdAh: 0, smallestAh: nothing, gainAh: nothing, arrivalSmallestAh, proof: null },
			null
		)[0];
	};
	expect(judged([100, 80])).toMatchObject({ code: 'match-too-uneven', warmth: 'stop' });
	expect(judged([100, 99.5])!.warmth).toBe('calm');
});

it('keeps to its time with thousands of cells, and still gives whole groups', () => {
	const random = seededRandom(7);
	const many = cells(Array.from({ length: 1500 }, () => 100 + 5 * random()));
	let seconds = 0;
	// A clock that is looked at a hundred times a second.
	const result = matchCells(
		{ series: 128, parallel: 8, cells: many },
		{ timeLimitS: 0.05, clockS: () => (seconds += 0.01) }
	);
	expect(seconds).toBeLessThan(1);
	expect(new Set(result.groups.flatMap((g) => g.cellIds)).size).toBe(1024);
});
