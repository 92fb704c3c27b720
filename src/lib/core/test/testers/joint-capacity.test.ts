import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jointCapacities, type StandardRun } from '.';

const run = (cellId: number, tester: string | null, capacityAh: number, sdAh = capacityAh * 0.01): StandardRun => ({
	cellId,
	tester,
	capacityAh,
	sdAh
});

describe('capacities and testers together', () => {
	it('one run on one tester: as it read, with the doubt of the tester', () => {
		const { byCell, gains } = jointCapacities([run(1, 'A', 280)]);
		expect(byCell.get(1)).toMatchObject({
			capacityAh: expect.closeTo(280, 9),
			runs: 1,
			testers: 1,
			testersApartAh: null
		});
		// 1 % of gain and 0.3 % of repeatability.
		expect(byCell.get(1)!.sdAh / 280).toBeCloseTo(Math.hypot(0.01, 0.003), 9);
		expect(gains).toMatchObject([{ tester: 'A', gain: expect.closeTo(0, 9), sd: expect.closeTo(0.01, 6) }]);
	});
	it('a cell on two testers that differ by 2 %: in the middle, each tester half of it off', () => {
		const { byCell, gains } = jointCapacities([run(1, 'A', 280 * Math.exp(0.01)), run(1, 'B', 280 * Math.exp(-0.01))]);
		expect(byCell.get(1)!.capacityAh).toBeCloseTo(280, 6);
		// Gains: prior 1/0.01² each, tie of variance 2 × 0.003²: 0.02 × 0.0002/(0.0002 + 0.000018)/2.
		expect(gains[0]!.gain).toBeCloseTo((0.02 * 0.0002) / 0.000218 / 2, 4);
		// The mean of two gains is known to 1 %/√2.
		expect(byCell.get(1)!.sdAh / 280).toBeCloseTo(Math.hypot(0.01, 0.003) / Math.SQRT2, 4);
		expect(byCell.get(1)!.testersApartAh).toBeCloseTo(5.6, 1);
	});
	it('carries what one cell told of two testers over to cells that were on one of them', () => {
		const tied = [1, 2, 3].flatMap((id) => [run(id, 'A', 285.6), run(id, 'B', 280)]);
		const { byCell } = jointCapacities([...tied, run(9, 'A', 285.6)]);
		const alone = jointCapacities([run(9, 'A', 285.6)]).byCell.get(9)!;
		expect(byCell.get(9)!.capacityAh).toBeLessThan(284);
		expect(byCell.get(9)!.sdAh).toBeLessThan(alone.sdAh);
	});
	it('a doubt that was stated smaller than a tester’s is that of a tester somebody has compared: kept as it is', () => {
		const { byCell, gains } = jointCapacities([run(1, 'A', 100, 0.5)]);
		expect(byCell.get(1)).toMatchObject({ capacityAh: expect.closeTo(100, 9), sdAh: expect.closeTo(0.5, 9) });
		expect(gains).toEqual([]);
		// Beside an uncompared one it weighs more.
		expect(jointCapacities([run(1, 'A', 100, 0.5), run(1, 'B', 103)]).byCell.get(1)!.capacityAh).toBeLessThan(101);
	});
	it('four runs in the same cold know its correction no better than one', () => {
		// 1 % of gain and 1 % of correction in each; 0.3 % of repeatability, halved by four runs.
		const cold = { ...run(1, 'A', 280, 280 * Math.hypot(0.01, 0.01)), sharedSd: 0.01 };
		const { sdAh } = jointCapacities([cold, cold, cold, cold]).byCell.get(1)!;
		expect(sdAh / 280).toBeCloseTo(Math.hypot(0.01, 0.01, 0.0015), 6);
	});
	it('does not depend on the order, and never makes a doubt larger by a run that contradicts nothing', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						cellId: fc.integer({ min: 1, max: 4 }),
						tester: fc.constantFrom('A', 'B', null),
						capacityAh: fc.double({ min: 99.5, max: 100.5, noNaN: true })
					}),
					{ minLength: 2, maxLength: 12 }
				),
				(list) => {
					const all = list.map((r) => run(r.cellId, r.tester, r.capacityAh));
					const there = jointCapacities(all).byCell;
					const back = jointCapacities([...all].reverse()).byCell;
					const fewer = jointCapacities(all.slice(1)).byCell;
					for (const [id, { capacityAh, sdAh }] of there) {
						expect(back.get(id)!.capacityAh).toBeCloseTo(capacityAh, 8);
						const before = fewer.get(id);
						if (before) expect(sdAh / capacityAh).toBeLessThanOrEqual(before.sdAh / before.capacityAh + 1e-9);
					}
				}
			)
		);
	});
	it('names the two testers furthest apart, and only those that a cell ties together', () => {
		const both = [1, 2, 3, 4].flatMap((id) => [run(id, 'A', 100), run(id, 'B', 102)]);
		const { apart } = jointCapacities([...both, run(9, 'C', 120)]);
		expect(apart).toMatchObject({ high: 'B', low: 'A' });
		// By hand: the difference is read as ln 1.02 by four pairs, each ±0.3 % · √2; its prior is 0 ± 1.41 %.
		const pull = 0.02 ** 2 / 2 / (0.02 ** 2 / 2 + (0.003 ** 2 * 2) / 4);
		expect(Math.log1p(apart!.fraction)).toBeCloseTo(Math.log(1.02) * pull, 4);
		expect(apart!.sd).toBeCloseTo(0.003 / Math.SQRT2, 4);
		expect(jointCapacities([run(1, 'A', 100), run(2, 'B', 110)]).apart).toBeNull();
	});
	it('one tester 5 % off beside two that agree is found, and the cells are in doubt by as much; two 6 % apart leave both in doubt', () => {
		const three = [1, 2, 3, 4].flatMap((id) => [run(id, 'A', 100), run(id, 'B', 100), run(id, 'C', 105)]);
		const { byCell, gains } = jointCapacities(three);
		const own = byCell.get(1)!;
		expect(own.capacityAh - 2 * own.sdAh).toBeLessThan(100);
		expect(gains.find((g) => g.tester === 'C')!.gain).toBeGreaterThan(0.03);
		const two = [1, 2, 3, 4].flatMap((id) => [run(id, 'A', 100), run(id, 'B', 106)]);
		const { capacityAh, sdAh } = jointCapacities(two).byCell.get(1)!;
		// Which of the two is right nobody can tell: both lie within the doubt.
		expect(capacityAh - 2 * sdAh).toBeLessThan(100.5);
		expect(capacityAh + 2 * sdAh).toBeGreaterThan(105.5);
	});
	it('of no runs says nothing, and refuses a capacity that cannot be', () => {
		expect(jointCapacities([])).toEqual({ byCell: new Map(), gains: [], apart: null });
		expect(() => jointCapacities([run(1, 'A', 0)])).toThrow(/capacityAh/);
	});
});
