import { describe, expect, it } from 'vitest';
import { ownLoad, THINGS_AT_HAND, fitLoads, warmWater, type LoadAtHand } from '.';

const lamp: LoadAtHand = { name: 'Lamp', w: 110, ownV: 12, mains: false, needs: [] };
const kettle: LoadAtHand = { name: 'Kettle', w: 1800, ownV: 230, mains: true, needs: [] };
const fit = (load: LoadAtHand, series: number, capacityAh = 280) =>
	fitLoads([load], { chemistry: 'LFP', series, capacityAh })[0]!;

describe('loads at hand', () => {
	it('by hand: 110 W of 12 V lamps at 12.8 V take 125 W, 9.8 A, 28.6 h of 280 Ah', () => {
		const { amps, hours, cRate, why } = fit(lamp, 4);
		expect(amps).toBeCloseTo((110 * (12.8 / 12) ** 2) / 12.8, 9);
		expect(hours).toBeCloseTo(280 / amps!, 9);
		expect(cRate).toBeCloseTo(amps! / 280, 9);
		expect(why).toBeNull();
	});
	it('a lamp of 12 V on one cell glows; on eight it burns', () => {
		expect(fit(lamp, 1).amps).toBeCloseTo((110 * (3.2 / 12) ** 2) / 3.2, 9);
		expect(fit(lamp, 8).why).toBe('too-high');
	});
	it('mains needs an inverter of a class: not on one cell', () => {
		expect(fit(kettle, 1).why).toBe('too-low');
		expect(fit(kettle, 4).amps).toBeCloseTo(2000 / 12.8, 9);
		expect(fit(kettle, 4, 105).why).toBe('too-much');
	});
	it('an inverter stops before the cells are empty, and says what it leaves', () => {
		const at = (inverterStopsV: number | null) =>
			fitLoads([kettle], { chemistry: 'LFP', series: 8, capacityAh: 280, inverterStopsV })[0]!;
		// 3.1 V per cell with 0.28 C on it: drop 11 to 56 mV and 8 mV of hysteresis bring it to 3.11 to 3.18 V at rest.
		const high = at(24.8);
		expect(high.stops).toMatchObject({ atV: 24.8 });
		expect(high.stops!.leftLow).toBeGreaterThan(0.025);
		expect(high.stops!.leftHigh).toBeLessThan(0.1);
		expect(high.hours).toBeLessThan(280 / high.amps!);
		// As such inverters usually are: 21 V for eight cells, 2.63 V each, leaves nothing to speak of.
		expect(at(null).stops).toMatchObject({ atV: 21, leftLow: 0 });
		expect(at(null).stops!.leftHigh).toBeGreaterThanOrEqual(0.006);
		expect(at(null).stops!.leftHigh).toBeLessThan(0.02);
		expect(fit(lamp, 4).stops).toBeNull();
	});
	it('a load that gives the energy back needs somewhere for it', () =>
		expect(THINGS_AT_HAND.find((t) => t.name === 'Regenerative load')!.needs).toContain('sink'));
	it('every thing of the list fits some battery', () => {
		for (const load of THINGS_AT_HAND)
			expect([1, 4, 8, 16].some((series) => fit(load, series, 280).why === null)).toBe(true);
	});
});

describe('water', () => {
	it('by hand: 900 Wh lift 20 l by 38.7 K; from 15 °C that stays below 60', () => {
		const water = warmWater(900, 300, 20, 15);
		expect(water.liftC).toBeCloseTo((900 * 3600) / (20 * 4186), 9);
		expect(water).toMatchObject({ stopAfterMin: null, iceKg: 0 });
	});
	it('10 l reach 60 °C before it is out, and ice would take the rest', () => {
		const water = warmWater(900, 300, 10, 15);
		expect(water.stopAfterMin).toBeCloseTo((45 * 10 * 4186) / 300 / 60, 6);
		expect(water.iceKg).toBeCloseTo((900 * 3600 - 45 * 10 * 4186) / (334_000 + 60 * 4186), 9);
	});
	it('hot water is not warmed at all', () => expect(warmWater(100, 100, 5, 80).stopAfterMin).toBe(0));
});

describe('a thing of one’s own', () => {
	it('on the mains asks for all that any other does', () =>
		expect(ownLoad(500, 230)).toMatchObject({ mains: true, needs: ['inverter', 'bond', 'isolation', 'attended'] }));
	it('at the battery’s own volts asks for somebody beside it', () =>
		expect(ownLoad(100, 12)).toMatchObject({ mains: false, needs: ['attended', 'cooling'] }));
	it('with no watts is none', () => expect(() => ownLoad(0, 12)).toThrow(/w/));
});
