import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	mean,
	median,
	normalCdf,
	normalDraw,
	chiSquareQuantile,
	chiSquareTail,
	normalQuantile,
	robustSd,
	seededRandom
} from '../statistics';
import { monotoneCurve } from '../curves';
import { requireFinite } from '../errors';
import { warmestFirst, type Warmth } from '.';

describe('statistics', () => {
	it('takes the middle of odd and even counts', () => {
		expect(median([3, 1, 2])).toBe(2);
		expect(median([4, 1, 2, 3])).toBe(2.5);
		expect(median([])).toBeNull();
		expect(mean([])).toBeNull();
	});
	it('scales the median absolute deviation to a standard deviation', () => {
		// deviations from 3: 2 1 0 1 97 -> median 1
		expect(robustSd([1, 2, 3, 4, 100])).toBeCloseTo(1.4826, 10);
	});
	it('matches tabulated normal probabilities', () => {
		expect(normalCdf(0)).toBe(0.5);
		expect(normalCdf(1.959963984540054)).toBeCloseTo(0.975, 13);
		expect(normalCdf(-3)).toBeCloseTo(0.0013498980316301, 14);
		expect(normalCdf(-8) / 6.22096057427178e-16).toBeCloseTo(1, 6);
		expect(normalQuantile(0.95)).toBeCloseTo(1.6448536269514722, 10);
	});
	it('inverts itself', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1e-6, max: 1 - 1e-6, noNaN: true }),
				(p) => Math.abs(normalCdf(normalQuantile(p)) - p) < 1e-9
			)
		);
	});
	it('of χ² agrees with the table: 95 % below 3.84, 18.31 and 67.50 for 1, 10 and 50 degrees', () => {
		expect(chiSquareQuantile(0.95, 10)).toBeCloseTo(18.307, 1);
		expect(chiSquareQuantile(0.95, 50)).toBeCloseTo(67.505, 1);
		expect(Math.abs(chiSquareQuantile(0.95, 1) / 3.841 - 1)).toBeLessThan(0.03);
		expect(chiSquareTail(18.307, 10)).toBeCloseTo(0.05, 3);
		expect(chiSquareTail(chiSquareQuantile(0.3, 7), 7)).toBeCloseTo(0.7, 9);
	});
	it('refuses a probability of 0', () => expect(() => normalQuantile(0)).toThrow(/0 < p < 1/));
});

describe('monotone curve', () => {
	const curve = monotoneCurve([0, 1, 2, 4], [0, 1, 1, 5], 2, 3);
	it('goes through its points and continues straight', () => {
		expect([0, 1, 2, 4].map((x) => curve.at(x))).toEqual([0, 1, 1, 5]);
		expect(curve.at(-1)).toBe(-2);
		expect(curve.at(5)).toBe(8);
	});
	it('stays flat between equal points', () => expect(curve.at(1.5)).toBe(1));
	it('never falls where its points rise, and its slope is its derivative', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 0.01, max: 3, noNaN: true }), { minLength: 3, maxLength: 8 }),
				fc.double({ min: 0.05, max: 0.95, noNaN: true }),
				(steps, f) => {
					const xs = steps.map((_, i) => i);
					const ys = steps.map((_, i) => steps.slice(0, i + 1).reduce((a, b) => a + b));
					const c = monotoneCurve(xs, ys, 1, 1);
					const x = f * (xs.length - 1);
					const slope = (c.at(x + 1e-6) - c.at(x - 1e-6)) / 2e-6;
					return (
						c.at(x + 1e-3) >= c.at(x) && Math.abs(slope - c.slopeAt(x)) < 1e-3 && Math.abs(c.xOf(c.at(x)) - x) < 1e-6
					);
				}
			)
		);
	});
	it('refuses points that do not rise', () => expect(() => monotoneCurve([0, 0], [1, 2], 0, 0)).toThrow(/rising/));
});

describe('chance', () => {
	it('repeats for the same seed and differs for another', () => {
		const a = seededRandom(7);
		const b = seededRandom(7);
		const first = [a(), a(), a()];
		expect([b(), b(), b()]).toEqual(first);
		expect(seededRandom(8)()).not.toBe(first[0]);
	});
	it('draws with the mean and sd asked for', () => {
		const random = seededRandom(1);
		const draws = Array.from({ length: 20000 }, () => normalDraw(random, 5, 2));
		const average = mean(draws)!;
		const sd = Math.sqrt(mean(draws.map((d) => (d - average) ** 2))!);
		expect(average).toBeCloseTo(5, 1);
		expect(sd).toBeCloseTo(2, 1);
	});
});

it('orders verdicts warmest first and keeps ties in order', () => {
	const v = (code: string, warmth: Warmth) => ({ code, warmth });
	expect(warmestFirst([v('a', 'calm'), v('b', 'look'), v('c', 'stop'), v('d', 'look')]).map((x) => x.code)).toEqual([
		'c',
		'b',
		'd',
		'a'
	]);
});

it('names the path of a NaN at the door', () =>
	expect(() => requireFinite(NaN, 'cells.2.capacityAh')).toThrow(/cells\.2\.capacityAh requires a finite number/));
