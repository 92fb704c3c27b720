import { describe, expect, it } from 'vitest';
import { jointCapacities } from './joint-capacity';
import { onLogScale, solve, type StandardRun } from './solve-testers';
import { narrowedBy, nextRuns } from './next-run';

const run = (cellId: number, tester: string | null, capacityAh: number): StandardRun => ({
	cellId,
	tester,
	capacityAh,
	sdAh: capacityAh * Math.hypot(0.01, 0.003)
});
const undecided = (cellId: number, hours = 11) => ({ cellId, wantedAh: 280, hours });

describe('what runs in thought narrow', () => {
	const runs = Array.from({ length: 14 }, (_, i) => ({
		...run(i % 6, 'ABC'[(i * i + 1) % 3]!, 278 + ((i * 7) % 5)),
		sdAh: 3.2
	}));
	const share = ({ sdAh, capacityAh }: { sdAh: number; capacityAh: number }) => (sdAh / capacityAh) ** 2;
	it.each([
		[[{ cellId: 0, tester: 'B' }]],
		[
			[
				{ cellId: 0, tester: 'C' },
				{ cellId: 3, tester: 'A' }
			]
		],
		[[{ cellId: 1, tester: 'D' }]],
		[
			[
				{ cellId: 1, tester: 'D' },
				{ cellId: 2, tester: 'D' }
			]
		]
	])('is what solving all of them anew says: %j', (extra) => {
		const before = jointCapacities(runs);
		const solved = solve(runs.map(onLogScale));
		const falls = narrowedBy(solved)(extra);
		const asExpected = extra.map((e) => run(e.cellId, e.tester, before.byCell.get(e.cellId)!.capacityAh));
		const after = jointCapacities([...runs, ...asExpected]);
		solved.cells.forEach(({ cellId }, i) => {
			const fell = share(before.byCell.get(cellId)!) - share(after.byCell.get(cellId)!);
			expect(falls[i]! * 1e6).toBeCloseTo(fell * 1e6, 6);
		});
	});
});

describe('the run that decides most for its hours', () => {
	it('of one cell on one tester is the same cell on the other', () => {
		const next = nextRuns([run(1, 'A', 277)], [undecided(1)], ['A', 'B'])!;
		expect(next.runs).toEqual([{ cellId: 1, tester: 'B' }]);
		expect(next.decides).toBeGreaterThan(0.1);
		expect(next.decides).toBeLessThan(1);
		expect(next.hours).toBe(11);
	});
	it('cells of one tester share its gain: a run of one tells of the other too', () => {
		const runs = [run(1, 'A', 276.5), run(2, 'A', 276.5)];
		const both = nextRuns(runs, [undecided(1), undecided(2)], ['A', 'B'])!;
		const one = nextRuns(runs, [undecided(1)], ['A', 'B'])!;
		expect(both.runs).toHaveLength(1);
		expect(both.decides).toBeGreaterThan(1.5 * one.decides);
	});
	it('prefers the shorter of two alike', () => {
		const runs = [run(1, 'A', 276.5), run(2, 'A', 276.5)];
		expect(nextRuns(runs, [undecided(1, 20), undecided(2, 5)], ['A', 'B'])!.runs[0]!.cellId).toBe(2);
	});
	it('a run that ties two testers tells all cells of both', () => {
		const cells = [1, 2, 3, 4, 5, 6];
		const runs = cells.map((id) => run(id, id <= 3 ? 'A' : 'B', 276.5));
		const alone = nextRuns([runs[0]!], [undecided(1)], ['A', 'B'])!;
		const tied = nextRuns(
			runs,
			cells.map((id) => undecided(id)),
			['A', 'B']
		)!;
		expect(tied.decides / tied.hours).toBeGreaterThan(alone.decides / alone.hours);
	});
	it('says nothing where nothing is undecided, nothing else is there to run on, or nothing would be told', () => {
		expect(nextRuns([run(1, 'A', 277)], [], ['A', 'B'])).toBeNull();
		expect(nextRuns([run(1, 'A', 277)], [undecided(1)], ['A'])).toBeNull();
		expect(nextRuns([], [undecided(1)], ['A', 'B'])).toBeNull();
	});
});
