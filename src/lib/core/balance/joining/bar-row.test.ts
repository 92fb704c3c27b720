import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
import { barOhms, judgeBars, rowCurrents, type BarRow } from '.';

const row = (n: number, more: Partial<BarRow> = {}): BarRow => ({
	currentA: 40,
	cellOhm: 0.0005,
	barOhm: 0.0001,
	restV: Array<number>(n).fill(3.33),
	plusAt: 0,
	minusAt: n - 1,
	...more
});
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

describe('a row of cells on bars', () => {
	it('two cells at opposite corners share alike; at one end the far one gets less, by the bars in its way', () => {
		expect(rowCurrents(row(2)).cellA).toEqual([20, 20]);
		// Two bars of 0.1 mΩ in the way of the far cell: 0.5·x = 0.5·y + 0.2·y, x + y = 40.
		const { cellA } = rowCurrents(row(2, { minusAt: 0 }));
		expect(cellA[0]).toBeCloseTo(40 * (0.7 / 1.2), 9);
		expect(cellA[1]).toBeCloseTo(40 * (0.5 / 1.2), 9);
	});
	it('fulfils Kirchhoff’s laws whatever the row', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 2, max: 128 }),
				fc.double({ min: 1e-6, max: 0.01, noNaN: true }),
				fc.double({ min: 0, max: 0.01, noNaN: true }),
				fc.array(fc.double({ min: 3.2, max: 3.4, noNaN: true }), { minLength: 128, maxLength: 128 }),
				fc.nat(),
				fc.nat(),
				(n, cellOhm, barOhm, volts, p, m) => {
					const own = row(n, { cellOhm, barOhm, restV: volts.slice(0, n), plusAt: p % n, minusAt: m % n });
					const { cellA, cellV, plusBarA, minusBarA } = rowCurrents(own);
					const scale = 40 + 0.2 / cellOhm;
					expect(Math.abs(sum(cellA) - 40)).toBeLessThan(1e-7 * scale * n);
					for (let i = 0; i < n - 1; i++) {
						const around = cellV[i]! - cellV[i + 1]! - barOhm * (plusBarA[i]! - minusBarA[i]!);
						expect(Math.abs(around)).toBeLessThan(1e-6);
					}
				}
			),
			{ numRuns: 100 }
		));
	it('opposite corners spread less than one end, and at the tail neither matters', () => {
		const spread = (more: Partial<BarRow>) => rowCurrents(row(16, more)).spreadV;
		expect(spread({})).toBeLessThan(spread({ minusAt: 0 }) / 2);
		expect(spread({ currentA: 2 })).toBeCloseTo(spread({}) / 20, 9);
	});
	it('refuses what is no row', () => {
		expect(() => rowCurrents(row(0))).toThrow(CoreError);
		expect(() => rowCurrents(row(3, { cellOhm: 0 }))).toThrow(CoreError);
		expect(() => rowCurrents(row(3, { plusAt: 3 }))).toThrow(CoreError);
	});
});

describe('bars by their millivolts', () => {
	const subject = { kind: 'bank' as const, id: 1, label: 'B' };
	/** Across each bar of the plus side; one of them so many times worse. */
	const across = (worse: number, times: number) => {
		const own = row(6);
		const { plusBarA } = rowCurrents(own);
		return plusBarA.map((a, at) => ({
			side: 'plus' as const,
			at,
			acrossV: Math.abs(a) * own.barOhm * (at === worse ? times : 1)
		}));
	};
	it('holds the true resistance, and tells nothing where nothing flows', () => {
		const ohms = barOhms(row(6), across(-1, 1));
		for (const ohm of ohms.flatMap((o) => (o ? [o] : []))) {
			expect(ohm.low95).toBeLessThanOrEqual(0.0001);
			expect(ohm.high95).toBeGreaterThanOrEqual(0.0001);
		}
		// With the leads at one end the last bar carries next to nothing.
		expect(barOhms(row(16, { minusAt: 0 }), [{ side: 'plus', at: 14, acrossV: 0 }])).toEqual([null]);
		expect(() => barOhms(row(6), [{ side: 'plus', at: 5, acrossV: 0 }])).toThrow(CoreError);
	});
	it('names the one that is worse, and none where all are alike', () => {
		expect(judgeBars(row(6), across(-1, 1), subject)[0]!.code).toBe('bars-alike');
		expect(judgeBars(row(6), across(1, 6), subject)).toMatchObject([{ code: 'bar-high', facts: { from: 2, to: 3 } }]);
		expect(judgeBars(row(6), across(1, 6).slice(0, 2), subject)[0]!.code).toBe('bars-untold');
	});
});
