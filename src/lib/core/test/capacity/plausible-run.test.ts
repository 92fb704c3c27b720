import { describe, expect, it } from 'vitest';
import { contradict, judgeCapacity, judgeRun, resultQuestions, slippedResult } from '.';

const cell = { id: 1, label: 'C-1' };

describe('a result that may be a slip', () => {
	it.each([
		[3.05, 305],
		[3050, 305],
		[30.5, 305],
		[200_000, null],
		[60, null]
	])('%s Ah of a cell rated 304 Ah: %s may have been meant', (capacityAh, meantAh) =>
		expect(slippedResult(capacityAh, 304)).toEqual({ capacityAh, meantAh })
	);
	it('a weak cell and a good one are results; without a rating nothing is compared', () => {
		for (const ah of [125, 260, 304, 330]) expect(slippedResult(ah, 304)).toBeNull();
		expect(slippedResult(3.05, null)).toBeNull();
	});
	it('is asked about as it is typed, and so are Wh that no cell of the chemistry has', () => {
		const ask = (capacityAh: number | null, energyWh: number | null) =>
			resultQuestions({ capacityAh, energyWh }, 304, 'LFP').map((q) => [q.text, q.meantAh]);
		expect(ask(3.05, null)).toEqual([['3.05 Ah, or 305 Ah? The cell is rated 304 Ah.', 305]]);
		expect(ask(305, 601)).toEqual([[expect.stringContaining('1.97 V: no LFP cell'), null]]);
		expect(ask(305, 985)).toEqual([]);
		expect(ask(null, 985)).toEqual([]);
	});
});

describe('runs of one cell', () => {
	const of = (...ah: number[]) => ah.map((capacityAh) => ({ capacityAh, sdAh: 0.01 * capacityAh }));
	it('contradict each other when no cell gave both, and not within what testers differ by', () => {
		expect(contradict(of(3.05, 305))).toBe(true);
		expect(contradict(of(305, 250))).toBe(true);
		expect(contradict(of(305, 290))).toBe(false);
		expect(contradict(of(305))).toBe(false);
	});
});

describe('a run by itself', () => {
	const run = (more: object = {}) => ({ capacityAh: 305, sdAh: 3, energyWh: 305 * 3.22, cRate: 0.2, ...more });
	const codes = (more: object, ratedAh: number | null = 304) =>
		judgeRun(cell, run(more), ratedAh, 'LFP').map((v) => v.code);
	it('Wh over Ah is that of such a discharge, lower at a higher rate', () => {
		expect(codes({})).toEqual([]);
		expect(codes({ energyWh: null })).toEqual([]);
		expect(codes({ energyWh: 601 })).toEqual(['run-mean-voltage']);
		// 1 C: the load takes some 80 mV of it.
		expect(codes({ cRate: 1, energyWh: 305 * 3.14 })).toEqual([]);
		expect(codes({ cRate: 0.05, energyWh: 305 * 3.05 })).toEqual(['run-mean-voltage']);
	});
	it('more than 6 % above its rating, beyond its tester’s doubt, is questioned', () => {
		expect(codes({ capacityAh: 320, energyWh: null })).toEqual([]);
		expect(codes({ capacityAh: 330, energyWh: null })).toEqual(['run-too-good']);
		expect(codes({ capacityAh: 330, sdAh: 12, energyWh: null })).toEqual([]);
		expect(codes({ capacityAh: 330, energyWh: null }, null)).toEqual([]);
	});
});

describe('a correction is one-sided', () => {
	// 2.4 % below its rating at 0.1 C and 30 °C, where the clause says 0.2 C and 25 °C; counted to 0.5 %.
	const corrected = judgeCapacity(cell, 294.4, 5.2, 304);
	const bound = { capacityAh: 296.7, sdAh: 1.5 };
	it('what is short under gentler conditions is at least as short under the clause’s', () => {
		expect(judgeCapacity(cell, 297.5, 5.2, 304).outcome).toBe('unsure');
		const judged = judgeCapacity(cell, 297.5, 5.2, 304, null, null, null, { ...bound, side: 'gentler' });
		expect(judged.outcome).toBe('short');
		expect(judged.probabilityShort).toBeGreaterThan(0.999);
	});
	it('what meets under harsher ones meets; neither is used the other way round', () => {
		const meets = { capacityAh: 309, sdAh: 1.5 };
		expect(judgeCapacity(cell, 311, 5.2, 304, null, null, null, { ...meets, side: 'harsher' }).outcome).toBe('meets');
		expect(judgeCapacity(cell, 300, 5.2, 304, null, null, null, { ...meets, side: 'gentler' }).outcome).toBe('unsure');
		expect(judgeCapacity(cell, 294.4, 5.2, 304, null, null, null, { ...bound, side: 'harsher' }).probabilityShort).toBe(
			corrected.probabilityShort
		);
	});
});
