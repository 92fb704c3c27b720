import { describe, expect, it } from 'vitest';
import { CoreError } from '../shared';
import { gainWorth, type Gain } from '.';

const gain = (more: Partial<Gain> = {}): Gain => ({
	...{ fromAh: 280, toAh: 284, ratedAh: 280, endFraction: 0.7, series: 16, pricePerAh: 0.3 },
	...more
});

describe('what a better arrangement is worth', () => {
	it('in money: 4 Ah of sixteen groups at 0.3', () => {
		expect(gainWorth(gain()).money).toBeCloseTo(19.2, 9);
		expect(gainWorth(gain({ pricePerAh: null })).money).toBeNull();
	});
	it('in years: the same again the other way round, none for none, more for more', () => {
		const { low95, likely, high95 } = gainWorth(gain()).years;
		expect(low95).toBeGreaterThanOrEqual(0);
		expect(likely).toBeGreaterThan(low95);
		expect(high95).toBeGreaterThan(likely);
		expect(gainWorth(gain({ fromAh: 284, toAh: 280 })).years.likely).toBeCloseTo(-likely, 2);
		expect(gainWorth(gain({ toAh: 280 })).years).toEqual({ low95: 0, likely: 0, high95: 0 });
		expect(gainWorth(gain({ toAh: 290 })).years.likely).toBeGreaterThan(likely);
	});
	it('nothing below the end it was built to', () =>
		expect(gainWorth(gain({ fromAh: 180, toAh: 190 })).years.likely).toBe(0));
	it('refuses what is no battery', () => {
		expect(() => gainWorth(gain({ endFraction: 1 }))).toThrow(CoreError);
		expect(() => gainWorth(gain({ ratedAh: 0 }))).toThrow(CoreError);
	});
});
