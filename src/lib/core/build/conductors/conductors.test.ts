import { describe, expect, it } from 'vitest';
import { ampacityA, areaOfAwgMm2, conductorOf, copperOhm, shortCircuitA } from '.';

describe('copper', () => {
	it.each([
		// ASTM B258: AWG 10 has 5.26 mm², 4/0 has 107.2 mm², 36 has 0.0127 mm² (0.127 mm).
		['10', 5.26],
		['2', 33.6],
		['4/0', 107.2],
		['36', 0.01267]
	])('gauge %s has %s mm²', (gauge, mm2) => expect(areaOfAwgMm2(gauge) / mm2).toBeCloseTo(1, 2));
	it('of 50 mm² and 2 m has 0.69 mΩ at 20 °C, a quarter more at 84 °C', () => {
		expect(copperOhm(50, 2)).toBeCloseTo(0.0006896, 7);
		expect(copperOhm(50, 2, 83.6) / copperOhm(50, 2)).toBeCloseTo(1.25, 3);
	});
	it.each(['41', '5/0', 'two'])('refuses the gauge %s', (gauge) =>
		expect(() => areaOfAwgMm2(gauge)).toThrow(/gauge requires 40 to 1/)
	);
});

describe('what a cable carries', () => {
	it.each([
		[{ areaMm2: 50 }, 273],
		[{ areaMm2: 95 }, 413],
		[{ awg: '2/0' }, 330],
		[{ awg: '6' }, 120]
	])('%j: %s A', (cable, amps) => expect(ampacityA(cable)).toBeCloseTo(amps, 6));
	it('lies between its neighbours, and less in an engine space', () => {
		const between = ampacityA({ areaMm2: 60 })!;
		expect(between).toBeGreaterThan(273);
		expect(between).toBeLessThan(338);
		expect(ampacityA({ awg: '2/0' }, true)).toBeCloseTo(280.5, 9);
	});
	it('is not guessed outside the table', () => {
		expect(ampacityA({ areaMm2: 6 })).toBeNull();
		expect(ampacityA({ areaMm2: 120 })).toBeNull();
		expect(ampacityA({ awg: '12' })).toBeNull();
	});
	it.each([
		['AWG 2/0', { awg: '2/0' }],
		['2/0', { awg: '2/0' }],
		['6 awg', { awg: '6' }],
		['50 mm²', { areaMm2: 50 }],
		['35', { areaMm2: 35 }],
		['16,0 mm2', { areaMm2: 16 }],
		['thick', null]
	])('reads “%s”', (text, cable) => expect(conductorOf(text)).toEqual(cable));
});

describe('a short circuit', () => {
	it('of 280 Ah cells of 0.17 mΩ, 3.4 V: past what a 20 kA class breaks', () => {
		// 3.4 / (0.6 × 0.17 mΩ) = 33 kA; two in parallel twice that.
		expect(shortCircuitA(3.4, 0.00017, 1)).toBeCloseTo(33_333, 0);
		expect(shortCircuitA(3.4, 0.00017, 2)).toBeCloseTo(66_667, 0);
	});
});
