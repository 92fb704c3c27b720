import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../../foundation/statistics';
import { matchCells, resolveWishes, type MatchProblem, type Wishes } from '.';

const control = { timeLimitS: 2, clockS: () => performance.now() / 1000 };
const cellsOf = (count: number, seed: number) => {
	const random = seededRandom(seed);
	return Array.from({ length: count }, (_, i) => ({
		id: `c${i}`,
		capacityAh: Number(normalDraw(random, 280, 4).toFixed(2))
	}));
};

/** Every way to put cells into groups, tried. */
function best({ series, parallel, cells, batteries, locks, exclude, apart }: MatchProblem & Wishes): number {
	const groups = series * (batteries ?? 1);
	const free = cells.filter((c) => !exclude?.includes(c.id));
	let found = -Infinity;
	const rows: string[][] = Array.from({ length: groups }, () => []);
	const capacity = new Map(cells.map((c) => [c.id, c.capacityAh]));
	const lockOf = new Map((locks ?? []).map((l) => [l.cellId, ((l.battery ?? 1) - 1) * series + l.position - 1]));
	const place = (i: number, spares: number): void => {
		if (i === free.length) {
			if (rows.some((r) => r.length < parallel)) return;
			found = Math.max(found, Math.min(...rows.map((r) => r.reduce((s, id) => s + capacity.get(id)!, 0))));
			return;
		}
		const id = String(free[i]!.id);
		for (let g = 0; g < groups; g++) {
			if (rows[g]!.length >= parallel || (lockOf.has(id) && lockOf.get(id) !== g)) continue;
			if (apart?.some((list) => list.includes(id) && rows[g]!.some((o) => list.includes(o)))) continue;
			rows[g]!.push(id);
			place(i + 1, spares);
			rows[g]!.pop();
		}
		if (spares > 0 && !lockOf.has(id)) place(i + 1, spares - 1);
	};
	place(0, free.length - groups * parallel);
	return found;
}

describe('wishes', () => {
	it('locked cells stay, excluded ones are left out, those to be apart do not meet, and the bound is one', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 3 }), (seed, position) => {
				const cells = cellsOf(8, seed);
				const problem = {
					series: 3,
					parallel: 2,
					cells,
					locks: [
						{ cellId: 'c0', position },
						{ cellId: 'c1', position: 2 }
					],
					exclude: ['c7'],
					apart: [['c2', 'c3', 'c4']]
				};
				const found = matchCells(problem, control);
				expect(found.groups[position - 1]!.cellIds).toContain('c0');
				expect(found.groups[1]!.cellIds).toContain('c1');
				expect([...found.groups.flatMap((g) => g.cellIds), ...found.spares]).not.toContain('c7');
				for (const g of found.groups)
					expect(g.cellIds.filter((id) => ['c2', 'c3', 'c4'].includes(String(id))).length).toBeLessThanOrEqual(1);
				const truth = best(problem);
				expect(found.smallestGroupAh).toBeCloseTo(truth, 6);
				expect(found.upperBoundAh).toBeGreaterThanOrEqual(truth - 1e-6);
				if (found.proven) expect(found.upperBoundAh).toBeCloseTo(truth, 6);
			}),
			{ numRuns: 25 }
		);
	}, 60_000);
	it('two batteries are matched as one row of groups and told by battery and position', () => {
		const cells = cellsOf(8, 5);
		const found = matchCells({ series: 2, parallel: 2, batteries: 2, cells }, control);
		expect(found.groups.map((g) => [g.battery, g.position])).toEqual([
			[1, 1],
			[1, 2],
			[2, 1],
			[2, 2]
		]);
		expect(found.smallestGroupAh).toBeCloseTo(best({ series: 2, parallel: 2, batteries: 2, cells }), 6);
	});
	it('a weak cell that is locked bounds the whole: proved without a search', () => {
		const cells = [...cellsOf(5, 9), { id: 'weak', capacityAh: 200 }];
		const found = matchCells({ series: 4, parallel: 1, cells, locks: [{ cellId: 'weak', position: 3 }] }, control);
		expect(found).toMatchObject({ proven: true, smallestGroupAh: 200 });
	});
	it.each([
		[{ locks: [{ cellId: 'x', position: 1 }] }, /names x/],
		[{ locks: [{ cellId: 'c0', position: 4 }] }, /position requires 1 to 3/],
		[{ locks: [{ cellId: 'c0', position: 1 }], exclude: ['c0'] }, /locked and excluded/],
		[
			{
				locks: [
					{ cellId: 'c0', position: 1 },
					{ cellId: 'c0', position: 2 }
				]
			},
			/locked twice/
		],
		[{ locks: [0, 1, 2].map((i) => ({ cellId: `c${i}`, position: 1 })) }, /takes 2 cells/],
		[{ locks: [0, 1].map((i) => ({ cellId: `c${i}`, position: 1 })), apart: [['c0', 'c1']] }, /locked into one group/],
		[{ batteries: 0 }, /batteries/]
	] as [Wishes, RegExp][])('refuses %j', (wishes, message) =>
		expect(() => resolveWishes({ series: 3, parallel: 2, cells: cellsOf(8, 1), ...wishes })).toThrow(message)
	);
	it('says so where nothing keeps apart what is to be apart', () => {
		const cells = cellsOf(4, 3);
		expect(() => matchCells({ series: 2, parallel: 2, cells, apart: [['c0', 'c1', 'c2']] }, control)).toThrow(
			/still meet/
		);
	});
});
