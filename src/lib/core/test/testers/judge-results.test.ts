import { describe, expect, it } from 'vitest';
import { normalCdf } from '../../foundation/statistics';
import { estimateTesters } from './joint-capacity';
import { judgeResults } from '.';

describe('testers and cells together', () => {
	it('one tester alone is left at its prior, and its cells keep its doubt', () => {
		const { cells, testers } = estimateTesters([
			{ cell: 1, tester: 'A', capacityAh: 280, sdAh: 0.5 },
			{ cell: 2, tester: 'A', capacityAh: 276, sdAh: 0.5 }
		]);
		expect(testers).toEqual([{ tester: 'A', gain: 0, sdGain: 0.01 }]);
		expect(cells[0]!.capacityAh).toBeCloseTo(280, 9);
		expect(cells[0]!.sdAh).toBeCloseTo(Math.hypot(0.5, 2.8), 9);
	});
	it('by hand: one cell on two exact testers 2 % apart puts half of it on each', () => {
		// Two gains of prior 1 % whose difference is ln 1.02: each takes half, and their mean stays at 1 % / √2.
		const { cells, testers } = estimateTesters([
			{ cell: 1, tester: 'A', capacityAh: 285.6, sdAh: 0 },
			{ cell: 1, tester: 'B', capacityAh: 280, sdAh: 0 }
		]);
		expect(testers[0]!.gain).toBeCloseTo(Math.sqrt(1.02) - 1, 6);
		expect(testers[1]!.gain).toBeCloseTo(1 / Math.sqrt(1.02) - 1, 6);
		expect(testers[0]!.sdGain / (1 + testers[0]!.gain)).toBeCloseTo(0.01 / Math.SQRT2, 5);
		expect(cells[0]!.capacityAh).toBeCloseTo(Math.sqrt(285.6 * 280), 3);
		expect(cells[0]!.sdAh / cells[0]!.capacityAh).toBeCloseTo(0.01 / Math.SQRT2, 5);
	});
	it('the order of the runs moves nothing', () => {
		const runs = [
			{ cell: 1, tester: 'A', capacityAh: 281, sdAh: 0.8 },
			{ cell: 2, tester: 'B', capacityAh: 279, sdAh: 0.6 },
			{ cell: 2, tester: 'A', capacityAh: 283, sdAh: 0.7 }
		];
		const [forth, back] = [estimateTesters(runs), estimateTesters([...runs].reverse())];
		for (const c of forth.cells)
			expect(back.cells.find((b) => b.cell === c.cell)!.capacityAh).toBeCloseTo(c.capacityAh, 9);
	});
});

describe('results against a rating', () => {
	it('by hand: 272 of 280 Ah at 25 °C on one tester', () => {
		const found = judgeResults(280, [{ tester: 'A', capacityAh: 272, temperatureC: 25, cRate: 0.2 }]);
		expect(found.capacityAh).toBeCloseTo(272, 9);
		expect(found.sdAh).toBeCloseTo(272 * Math.hypot(0.01, 0.003), 6);
		expect(found.probabilityShort).toBeCloseTo(normalCdf(8 / found.sdAh), 9);
		expect(found.outcome).toBe('short');
	});
	it('a temperature that nobody wrote down is a doubt of its own: cannot tell', () =>
		expect(judgeResults(280, [{ tester: 'A', capacityAh: 272 }]).outcome).toBe('unsure'));
	it('two testers that differ by more than the shortfall decide nothing', () => {
		const at = (tester: string, capacityAh: number) => ({ tester, capacityAh, temperatureC: 25 });
		expect(judgeResults(280, [at('A', 284), at('B', 266)]).outcome).toBe('unsure');
		expect(judgeResults(280, [at('A', 268), at('B', 265)]).outcome).toBe('short');
	});
	it('a result at 0 °C is refused while it is the only one, and left out beside another', () => {
		const cold = { tester: 'A', capacityAh: 240, temperatureC: 0 };
		expect(() => judgeResults(280, [cold])).toThrow(/nearer 25/);
		expect(judgeResults(280, [cold, { tester: 'A', capacityAh: 290, temperatureC: 25 }]).capacityAh).toBeCloseTo(
			290,
			6
		);
	});
	it('refuses none', () => expect(() => judgeResults(280, [])).toThrow(/one result or more/));
});
