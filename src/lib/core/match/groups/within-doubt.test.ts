import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../../foundation/statistics';
import { matchCells, type MatchProgress } from '.';
import { expectedConductanceSpread } from './within-doubt';

const control = { timeLimitS: 1, clockS: () => performance.now() / 1000 };
const cellsOf = (seed: number, sdAh: number | null, unread = 0) => {
	const random = seededRandom(seed);
	return Array.from({ length: 16 }, (_, id) => ({
		id,
		capacityAh: normalDraw(random, 280, 2),
		capacitySdAh: sdAh,
		resistanceMohm: id < unread ? null : normalDraw(random, 0.17, 0.02)
	}));
};
const spreadOf = (cells: ReturnType<typeof cellsOf>, groups: { cellIds: (number | string)[] }[]) =>
	expectedConductanceSpread(
		{ series: 8, parallel: 2, cells },
		groups.map((g) => g.cellIds.map(Number))
	);

describe('capacities with a doubt', () => {
	it('within half of it groups are made alike in conductance; the proof speaks of the smallest group', () => {
		for (const seed of [1, 2, 3, 4]) {
			const exact = matchCells({ series: 8, parallel: 2, cells: cellsOf(seed, null) }, control);
			const doubted = cellsOf(seed, 3);
			const found = matchCells({ series: 8, parallel: 2, cells: doubted }, control);
			expect(found.proven).toBe(true);
			expect(found.upperBoundAh).toBeCloseTo(exact.smallestGroupAh, 6);
			expect(found.smallestGroupAh).toBeGreaterThanOrEqual(exact.smallestGroupAh - 0.5 * 3 * Math.SQRT2 - 1e-9);
			expect(found.tradedAh).toBeCloseTo(exact.smallestGroupAh - found.smallestGroupAh, 6);
			expect(spreadOf(doubted, found.groups)).toBeLessThan(spreadOf(doubted, exact.groups));
		}
	});
	it('without a doubt nothing is given up', () =>
		expect(matchCells({ series: 8, parallel: 2, cells: cellsOf(5, null) }, control).tradedAh).toBe(0));
	it('an unknown resistance costs its expected spread, not nothing', () => {
		const cells = [0.16, 0.18, 0.17, null].map((resistanceMohm, id) => ({ id, capacityAh: 280, resistanceMohm }));
		const spread = (groups: number[][]) => expectedConductanceSpread({ series: 2, parallel: 1, cells }, groups);
		const mean = (1 / 0.16 + 1 / 0.18 + 1 / 0.17) / 3;
		const sd = Math.sqrt([0.16, 0.18, 0.17].reduce((sum, r) => sum + (1 / r - mean) ** 2, 0) / 2);
		expect(spread([[2], [3]])).toBeCloseTo(Math.max(1 / 0.17, mean + sd) - Math.min(1 / 0.17, mean - sd), 9);
		expect(spread([[0], [1]])).toBeCloseTo(1 / 0.16 - 1 / 0.18, 9);
	});
	it('whoever ends the search has the best until then', () => {
		const seen: MatchProgress[] = [];
		matchCells({ series: 8, parallel: 2, cells: cellsOf(6, 2) }, { ...control, onProgress: (p) => seen.push(p) });
		for (const { best, smallestGroupAh } of seen) {
			expect(new Set(best!.groups.flatMap((g) => g.cellIds)).size).toBe(16);
			expect(best!.smallestGroupAh).toBeCloseTo(smallestGroupAh, 9);
		}
	});
});
