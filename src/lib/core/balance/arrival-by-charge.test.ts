import { describe, expect, it } from 'vitest';
import { CoreError } from '../shared';
import { arrivalByCharge, judgeArrival } from '.';

const subject = { kind: 'bank' as const, id: 1, label: 'B' };

describe('charge on arrival, worked back', () => {
	it('half of it went in: it was half full, give or take; tested capacities tell more', () => {
		const usual = arrivalByCharge(400, 800, false);
		expect(usual.likely).toBeCloseTo(1 - 0.5 * 0.995, 9);
		const tested = arrivalByCharge(400, 800, true);
		expect(tested.high95 - tested.low95).toBeLessThan(usual.high95 - usual.low95);
	});
	it('never leaves what a cell can hold', () => {
		expect(arrivalByCharge(900, 800, false)).toMatchObject({ low95: 0, likely: 0 });
		expect(arrivalByCharge(0, 800, false).high95).toBe(1);
		expect(() => arrivalByCharge(-1, 800, false)).toThrow(CoreError);
	});
});

describe('what a row arrived with', () => {
	it('is told from what went in; more than an empty one takes is nobody’s charge', () => {
		expect(judgeArrival(200, 400, false, subject)).toMatchObject({ code: 'arrival-by-charge', warmth: 'calm' });
		// An empty row takes its own 400 Ah, and the count may be a few percent off.
		expect(judgeArrival(408, 400, false, subject).code).toBe('arrival-by-charge');
		expect(judgeArrival(907, 400, false, subject)).toMatchObject({ code: 'arrival-too-much', warmth: 'look' });
	});
});
