import { describe, expect, it } from 'vitest';
import { secondsToTail } from './time-left';

const charge = { chemistry: 'LFP' as const, totalAh: 800, cells: 8, setV: 3.6, supplyA: 20, leadOhm: 0.004, tailA: 2 };
const bounds = { low: 320, high: 480 };
const hours = (deliveredAh: number, more: Partial<typeof charge> = {}) => {
	const { low, high } = secondsToTail({ ...charge, ...more }, { toDeliverAh: bounds, deliveredAh })!;
	return { low: low / 3600, high: high / 3600 };
};

describe('time to the tail', () => {
	it('is what is missing at full current, and the taper', () => {
		const { low, high } = hours(0);
		expect(low).toBeGreaterThan(0.98 * (320 / 20));
		expect(low).toBeLessThan(1.15 * (320 / 20));
		expect(high).toBeGreaterThan(480 / 20);
		expect(high).toBeLessThan(1.2 * (480 / 20));
	});
	it('shrinks as it goes in, and never below nothing', () => {
		const at = [0, 100, 200, 300, 400, 500].map((ah) => hours(ah));
		at.slice(1).forEach((later, i) => {
			expect(later.low).toBeLessThanOrEqual(at[i]!.low);
			expect(later.high).toBeLessThan(at[i]!.high);
		});
		expect(at.at(-1)!.low).toBeGreaterThanOrEqual(0);
		// More went in than it was thought to take: it is still on its way.
		expect(at.at(-1)!.high).toBeGreaterThan(0);
	});
	it('grows with leads that hold the current back', () =>
		expect(hours(0, { leadOhm: 0.03 }).high).toBeGreaterThan(1.3 * hours(0).high));
	it('cannot be told where they let next to nothing through', () =>
		expect(secondsToTail({ ...charge, leadOhm: 2, tailA: 0.01 }, { toDeliverAh: bounds, deliveredAh: 0 })).toBeNull());
});
