import { describe, expect, it } from 'vitest';
import { toStandardConditions, twoWireShare } from '.';

describe('a tester with two wires', () => {
	it('with 0.6 V of drop misses 9.6 Ah of 206 (reference), not the 1.2 of a straight line', () => {
		const missedAh = 206 * twoWireShare('LFP', 0.2, 0.6, 2.5);
		expect(missedAh).toBeCloseTo(9.6, 1);
	});
	it('misses nothing without a drop, more with a larger one', () => {
		expect(twoWireShare('LFP', 0.2, 0, 2.5)).toBe(0);
		const shares = [0.05, 0.2, 0.4, 0.6].map((drop) => twoWireShare('LFP', 0.2, drop, 2.5));
		expect(shares).toEqual([...shares].sort((a, b) => a - b));
		// Never linear: the last tenths of a volt hold most of it.
		expect(shares[3]! - shares[2]!).toBeGreaterThan(2 * (shares[1]! - shares[0]!));
	});
	it('is told at any rate, a trickle and a rush', () => {
		for (const cRate of [0.0005, 0.01, 5]) expect(twoWireShare('LFP', cRate, 0.2, 2.5)).toBeGreaterThan(0);
	});
	it.each([
		[0, 0.1, /cRate/],
		[0.2, -0.1, /dropV/],
		[0.2, NaN, /dropV/]
	])('refuses %s C with %s V', (cRate, drop, message) =>
		expect(() => twoWireShare('LFP', cRate, drop, 2.5)).toThrow(message)
	);
});

describe('steps from a reading to standard', () => {
	const measured = { capacityAh: 200, sdAh: 2, missedShare: 0.01 };
	const standard = { cRate: 0.2, temperatureC: 25 };
	it('multiply to the correction, and their doubts add in quadrature', () => {
		const { capacityAh, sdAh, steps, correctionFraction } = toStandardConditions(measured, 18, 0.4, standard);
		const product = steps.reduce((p, s) => p * s.factor, 1);
		expect(steps.map((s) => s.correction)).toEqual(['drop', 'temperature', 'rate']);
		expect(capacityAh).toBeCloseTo(200 * product, 9);
		expect(correctionFraction).toBeCloseTo(product - 1, 12);
		expect(sdAh / capacityAh).toBeCloseTo(Math.hypot(0.01, ...steps.map((s) => s.relativeSd)), 12);
		expect(steps[0]!.factor).toBeCloseTo(1 / 0.99, 12);
	});
	it('switched off move nothing, and what they would have moved is doubt', () => {
		const on = toStandardConditions(measured, 18, 0.2, standard);
		const off = toStandardConditions(measured, 18, 0.2, standard, ['temperature', 'drop']);
		expect(off.capacityAh).toBeCloseTo(200, 9);
		expect(off.sdAh).toBeGreaterThan(on.sdAh);
		const [drop] = off.steps;
		expect(drop).toMatchObject({ factor: 1, isOff: true });
		expect(drop!.relativeSd).toBeCloseTo(Math.hypot(0.01 / 3, 0.01 / 0.99), 9);
	});
	it('a correction too large to make may be switched off, at the price of its doubt', () => {
		expect(() => toStandardConditions({ capacityAh: 200, sdAh: 2 }, 2, 0.2, standard)).toThrow(/5 %/);
		const off = toStandardConditions({ capacityAh: 200, sdAh: 2 }, 2, 0.2, standard, ['temperature']);
		expect(off.sdAh / off.capacityAh).toBeGreaterThan(0.1);
	});
});
