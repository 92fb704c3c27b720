import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRIES, restVoltageCurve } from '.';
import { cubicAt, cubicIntegral, cubicSlopeAt, monotoneCurve, uniformCubic } from '../curves';

describe('a curve cut into equal bins', () => {
	it.each(CHEMISTRIES)('is the rest-voltage curve of %s, beyond its ends too', (chemistry) => {
		const curve = restVoltageCurve(chemistry);
		const cut = uniformCubic(curve, 200);
		fc.assert(
			fc.property(fc.double({ min: -0.2, max: 1.2, noNaN: true }), (x) => {
				expect(Math.abs(cubicAt(cut, x) - curve.at(x))).toBeLessThan(1e-6);
			})
		);
	});
	it('has the slope of its values and the integral of its values', () => {
		const cut = uniformCubic(monotoneCurve([0, 0.25, 0.5, 1], [1, 2, 2.5, 6], 3, 5), 4);
		fc.assert(
			// Never at a point of the table, where the slope may change.
			fc.property(
				fc.integer({ min: -2000, max: 5999 }).map((k) => (k + 0.5) / 4000),
				(x) => {
					const h = 1e-6;
					expect((cubicIntegral(cut, x + h) - cubicIntegral(cut, x - h)) / (2 * h)).toBeCloseTo(cubicAt(cut, x), 3);
					expect((cubicAt(cut, x + h) - cubicAt(cut, x - h)) / (2 * h)).toBeCloseTo(cubicSlopeAt(cut, x), 1);
				}
			)
		);
	});
	it('integrates a straight line exactly: 1 + 2x from 0 to 1 is 2', () => {
		const cut = uniformCubic(monotoneCurve([0, 1], [1, 3], 2, 2), 10);
		expect(cubicIntegral(cut, 1)).toBeCloseTo(2, 12);
		expect(cubicIntegral(cut, 2)).toBeCloseTo(6, 12);
		expect(cubicIntegral(cut, 0)).toBe(0);
		expect(cubicIntegral(cut, -1)).toBeCloseTo(0, 12);
	});
	it('requires bins', () => expect(() => uniformCubic(restVoltageCurve('LFP'), 0)).toThrow(/bins/));
});
