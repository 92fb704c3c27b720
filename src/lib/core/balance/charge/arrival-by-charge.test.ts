import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
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

const judged = (low: number, high = low) => judgeArrival({ low, high }, 400, false, subject);

describe('what a row arrived with', () => {
	it('holds both answers where a counter may have begun anew', () => {
		const share = (low: number, high?: number) => judged(low, high).facts.share as { low95: number; high95: number };
		expect(share(200, 320)).toMatchObject({ low95: share(320).low95, high95: share(200).high95 });
	});
	it('is told from what went in; more than an empty one takes is nobody’s charge', () => {
		expect(judged(200)).toMatchObject({ code: 'arrival-by-charge', warmth: 'calm' });
		// An empty row takes its own 400 Ah, and the count may be a few percent off.
		expect(judged(408).code).toBe('arrival-by-charge');
		expect(judged(907)).toMatchObject({ code: 'arrival-too-much', warmth: 'look' });
	});
});
