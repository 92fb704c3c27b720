import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRIES, restVoltageCurve, socBounds } from '.';

describe('rest voltage of LFP', () => {
	const curve = restVoltageCurve('LFP');
	it('holds the tabulated points', () => {
		expect(curve.at(0.5)).toBeCloseTo(3.294, 12);
		expect(curve.at(0.95)).toBeCloseTo(3.336, 12);
	});
	it('continues at 100 V and 25 V per unit of SoC', () => {
		expect(curve.at(-0.01)).toBeCloseTo(1.8, 12);
		expect(curve.at(1.01)).toBeCloseTo(3.71, 12);
	});
});

describe('SoC bounds', () => {
	it('cannot tell on the plateau: 3.331 V is roughly 60 to 99 %', () => {
		const bounds = socBounds('LFP', 3.331, 0.0025, 86400);
		expect(bounds.verdict).toBe('wide');
		expect(bounds.lowFraction).toBeGreaterThan(0.58);
		expect(bounds.lowFraction).toBeLessThan(0.68);
		expect(bounds.highFraction).toBeGreaterThan(0.96);
		expect(bounds.highFraction).toBeLessThanOrEqual(0.99);
	});
	it('resolves the steep bottom end', () => {
		const bounds = socBounds('LFP', 3.07, 0.001, 86400);
		expect(bounds.verdict).toBe('resolved');
		expect(bounds.lowFraction).toBeLessThan(0.03);
		expect(bounds.highFraction).toBeGreaterThan(0.03);
	});
	it('says when a cell rests below empty or above full', () => {
		expect(socBounds('LFP', 2.2, 0.002, 86400).verdict).toBe('below-empty');
		expect(socBounds('LFP', 3.9, 0.002, 86400).verdict).toBe('above-full');
	});
	it('widens with the meter, and with a short rest, and always holds the true charge', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...CHEMISTRIES),
				fc.double({ min: 0, max: 1, noNaN: true }),
				fc.double({ min: 0, max: 0.01, noNaN: true }),
				(chemistry, soc, sd) => {
					const volts = restVoltageCurve(chemistry).at(soc);
					const fine = socBounds(chemistry, volts, sd, 1e6);
					const coarse = socBounds(chemistry, volts, sd + 0.01, 1e6);
					const hasty = socBounds(chemistry, volts, sd, 60);
					expect(fine.lowFraction).toBeLessThanOrEqual(soc + 1e-9);
					expect(fine.highFraction).toBeGreaterThanOrEqual(soc - 1e-9);
					expect(coarse.highFraction - coarse.lowFraction).toBeGreaterThanOrEqual(
						fine.highFraction - fine.lowFraction - 1e-12
					);
					expect(hasty.highFraction - hasty.lowFraction).toBeGreaterThanOrEqual(
						fine.highFraction - fine.lowFraction - 1e-12
					);
				}
			)
		);
	});
	it('refuses NaN and a negative sd at the door', () => {
		expect(() => socBounds('LFP', NaN, 0.001, 0)).toThrow(/restVoltageV requires a finite number/);
		expect(() => socBounds('LFP', 3.3, -1, 0)).toThrow(/meterSdV requires 0 or more/);
	});
});
