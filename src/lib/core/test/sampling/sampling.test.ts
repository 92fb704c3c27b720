import { describe, expect, it } from 'vitest';
import { capacityOfTheRest, chanceOfAtMost, chanceOfDeciding, mostBad, testsNeeded, toleranceFactor } from '.';

describe('what a sample says of the rest', () => {
	it('by hand: none bad among 5 of 20, when 6 are: C(14,5)/C(20,5)', () =>
		expect(chanceOfAtMost(0, 5, 6, 20)).toBeCloseTo(2002 / 15_504, 12));
	it('five good of twenty leave up to eight bad; all twenty leave none', () => {
		// C(12,5)/C(20,5) = 792/15504 = 0.0511 with eight; C(11,5)/C(20,5) = 462/15504 = 0.0298 with nine.
		expect(mostBad({ all: 20, tested: 5, bad: 0 })).toBe(8);
		expect(mostBad({ all: 20, tested: 20, bad: 0 })).toBe(0);
		expect(mostBad({ all: 20, tested: 20, bad: 3 })).toBe(3);
		expect(mostBad({ all: 20, tested: 0, bad: 0 })).toBe(20);
	});
	it('to be sure that at most one of twenty is bad takes sixteen good ones', () => {
		// With two bad: C(18,16)/C(20,16) = (4·3)/(20·19) = 0.0316; with fifteen tested: (5·4)/(20·19) = 0.0526.
		expect(testsNeeded(20, 1)).toBe(16);
		expect(testsNeeded(20, 0)).toBe(20);
		expect(testsNeeded(20, 20)).toBe(1);
	});
	it.each([
		// One-sided normal tolerance factors of 90 % at 95 % confidence, from tables.
		[10, 2.355],
		[20, 1.926],
		[50, 1.646]
	])('%i measured: %f sd', (n, k) => expect(toleranceFactor(n, 0.9, 0.95)).toBeCloseTo(k, 1));
	it('two measured say nothing of the rest, ten do', () => {
		expect(capacityOfTheRest([280, 281]).lowerAh).toBeNull();
		const ten = capacityOfTheRest([278, 279, 280, 281, 282, 283, 284, 279, 281, 283]);
		expect(ten.lowerAh).toBeCloseTo(ten.meanAh - 2.355 * ten.sdAh, 0);
	});
	it('refuses more tested than there are', () => {
		expect(() => mostBad({ all: 5, tested: 6, bad: 0 })).toThrow(/tested/);
		expect(() => mostBad({ all: 5, tested: 3, bad: 4 })).toThrow(/bad/);
	});
});

describe('the next measurement', () => {
	it('an exact one decides; one that knows no more than nothing does not', () => {
		expect(chanceOfDeciding(276, 2.8, 0, 280)).toBeCloseTo(1, 6);
		expect(chanceOfDeciding(279, 2.8, 1e6, 280)).toBeCloseTo(0, 6);
		expect(chanceOfDeciding(279, 2.8, 2.8, 280)).toBeGreaterThan(0.05);
	});
	it('a better one decides more often', () =>
		expect(chanceOfDeciding(278, 2.8, 1, 280)).toBeGreaterThan(chanceOfDeciding(278, 2.8, 2.8, 280)));
});
