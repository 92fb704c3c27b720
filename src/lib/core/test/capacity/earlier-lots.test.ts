import { describe, expect, it } from 'vitest';
import { evidenceOfEarlierLots, judgeCapacity } from '.';
import { TESTER_GAIN_SD } from '../verdicts';

const lot = (tester: string | null, meanAh: number, n = 8) => ({
	tester,
	capacitiesAh: Array.from({ length: n }, (_, i) => meanAh * (1 + 0.012 * (i % 2 ? 1 : -1)))
});

describe('earlier lots of the same type', () => {
	it('share a difference between the lots and the testers', () => {
		// 2 % lower than two earlier lots: the tester takes less than half of it, and is known better than before.
		const evidence = evidenceOfEarlierLots(lot('B', 277), [lot('A', 283), lot('C', 282)])!;
		expect(evidence.gain).toBeLessThan(0);
		expect(evidence.gain).toBeGreaterThan((277 / 282.5 - 1) / 2);
		expect(evidence.sd).toBeLessThan(TESTER_GAIN_SD);
		expect(evidence).toMatchObject({ lots: 2, cells: 16 });
	});
	it('by hand: one earlier lot, lots apart by 1 %, both testers good to 1 %', () => {
		// Scatter 1.2 % of eight: the mean is good to 0.42 %; lot 1 %, type 1 % and 1 %: 0.0003 + 0.000018 against 0.0001.
		const { gain, sd } = evidenceOfEarlierLots(lot('B', 280), [lot('A', 282.8)])!;
		const share = 0.0001 / (0.0001 + 0.0003 + 0.012 ** 2 / 8);
		expect(gain).toBeCloseTo((280 / 282.8 - 1) * share, 4);
		expect(sd).toBeCloseTo(0.01 * Math.sqrt(1 - share), 4);
	});
	it('tell nothing on the same tester, by too few cells, or where there are none', () => {
		expect(evidenceOfEarlierLots(lot('A', 280), [lot('A', 283)])).toBeNull();
		expect(evidenceOfEarlierLots(lot(null, 280), [lot(null, 283)])).toBeNull();
		expect(evidenceOfEarlierLots(lot('B', 280, 2), [lot('A', 283)])).toBeNull();
		expect(evidenceOfEarlierLots(lot('B', 280), [])).toBeNull();
		expect(() => evidenceOfEarlierLots(lot('B', 280), [{ tester: 'A', capacitiesAh: [0, 1, 2] }])).toThrow(
			/positive|0/
		);
	});
	it('pass over slips, weak cells and lots that are another thing', () => {
		const clean = evidenceOfEarlierLots(lot('B', 280), [lot('A', 283)])!;
		const slipped = { tester: 'A', capacitiesAh: [...lot('A', 283).capacitiesAh, 28.3, 2830, 190] };
		expect(evidenceOfEarlierLots(lot('B', 280), [slipped])).toEqual(clean);
		expect(evidenceOfEarlierLots(lot('B', 280), [lot('A', 230)])).toBeNull();
	});
	it('are taken by the chance of being short, and not by the figure', () => {
		const cell = { id: 1, label: 'X' };
		const alone = judgeCapacity(cell, 279, 2.9, 280);
		const lots = { gain: -0.006, sd: 0.0085, lots: 2, cells: 16 };
		const pooled = judgeCapacity(cell, 279, 2.9, 280, null, null, null, null, lots);
		expect(alone.probabilityShort).toBeGreaterThan(0.6);
		expect(pooled.probabilityShort).toBeLessThan(0.4);
		expect(pooled.capacityAh).toBe(279);
		expect(pooled.verdict.doubt).toContain('16 cells of earlier lots');
		// A tester that is known better than that needs no lots.
		expect(judgeCapacity(cell, 279, 0.9, 280, null, null, null, null, lots).probabilityShort).toBe(
			judgeCapacity(cell, 279, 0.9, 280).probabilityShort
		);
	});
});
