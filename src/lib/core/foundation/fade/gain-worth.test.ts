import { describe, expect, it } from 'vitest';
import { CoreError } from '../errors';
import { gainWorth, yearsToEnd, type Gain } from '.';

const sure = (ah: number) => ({ low95: ah, likely: ah, high95: ah });
const gain = (more: Partial<Gain> = {}): Gain => ({
	fromAh: 280,
	gainAh: sure(4),
	ratedAh: 280,
	endFraction: 0.7,
	series: 16,
	pricePerAh: 0.3,
	...more
});

describe('what a better arrangement is worth', () => {
	it('in money: 4 Ah of sixteen groups at 0.3', () => {
		expect(gainWorth(gain()).money!.likely).toBeCloseTo(19.2, 9);
		expect(gainWorth(gain({ gainAh: { low95: 2, likely: 4, high95: 5 } })).money!.low95).toBeCloseTo(9.6, 9);
		expect(gainWorth(gain({ pricePerAh: null })).money).toBeNull();
	});
	it('in years: the same again the other way round, none for none, more for more', () => {
		const { low95, likely, high95 } = gainWorth(gain()).years;
		expect(low95).toBeGreaterThanOrEqual(0);
		expect(likely).toBeGreaterThan(low95);
		expect(high95).toBeGreaterThan(likely);
		expect(gainWorth(gain({ fromAh: 284, gainAh: sure(-4) })).years.likely).toBeCloseTo(-likely, 2);
		expect(gainWorth(gain({ gainAh: sure(0) })).years).toEqual({ low95: 0, likely: 0, high95: 0 });
		expect(gainWorth(gain({ gainAh: sure(10) })).years.likely).toBeGreaterThan(likely);
	});
	it('a gain in doubt makes years in doubt, about the same middle', () => {
		const doubtful = gainWorth(gain({ gainAh: { low95: -2, likely: 4, high95: 10 } })).years;
		const certain = gainWorth(gain()).years;
		expect(doubtful.low95).toBeLessThan(0);
		expect(doubtful.high95 - doubtful.low95).toBeGreaterThan(1.5 * (certain.high95 - certain.low95));
		expect(Math.abs(doubtful.likely - certain.likely)).toBeLessThan(0.3 * certain.likely);
	});
	it('nothing below the end it was built to', () =>
		expect(gainWorth(gain({ fromAh: 180, gainAh: sure(10) })).years.likely).toBe(0));
	it('refuses what is no battery', () => {
		expect(() => gainWorth(gain({ endFraction: 1 }))).toThrow(CoreError);
		expect(() => gainWorth(gain({ ratedAh: 0 }))).toThrow(CoreError);
	});
});

describe('years to the chosen end', () => {
	const years = (ah: number, endFraction = 0.7) => yearsToEnd({ ah: sure(ah), ratedAh: 280, endFraction });
	it('by hand at the middle of the prior: 30 % are lost after 36 years of 145 cycles', () => {
		// 0.015·√t + 4e-5·145·t = 0.3: √t = (−0.015 + √(0.015² + 4·0.0058·0.3)) / (2·0.0058) = 6.01.
		const { low95, likely, high95 } = years(280);
		expect(likely).toBeGreaterThan(0.75 * 36);
		expect(likely).toBeLessThan(1.25 * 36);
		expect(low95).toBeLessThan(0.6 * likely);
		expect(high95).toBeGreaterThan(1.5 * likely);
	});
	it('more for more Ah and for an end further down; none where it is there already', () => {
		expect(years(290).likely).toBeGreaterThan(years(280).likely);
		expect(years(280, 0.6).likely).toBeGreaterThan(years(280).likely);
		expect(years(190)).toEqual({ low95: 0, likely: 0, high95: 0 });
	});
	it('what is not known of its Ah makes them wider', () => {
		const doubtful = yearsToEnd({ ah: { low95: 240, likely: 280, high95: 320 }, ratedAh: 280, endFraction: 0.7 });
		expect(doubtful.low95).toBeLessThan(years(280).low95);
		expect(() => yearsToEnd({ ah: sure(280), ratedAh: 280, endFraction: 0 })).toThrow(CoreError);
	});
});
