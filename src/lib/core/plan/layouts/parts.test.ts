import { describe, expect, it } from 'vitest';
import { sizeParts, type PartsInput } from '.';

const bank: PartsInput = {
	chemistry: 'LFP',
	series: 8,
	batteries: 1,
	continuousW: 300,
	peakW: 2081,
	surgeW: 3000,
	chargeA: 20,
	bankAh: 230,
	freezes: true,
	contactorW: 4
};

describe('parts', () => {
	it('by hand: 2081 W at 24.8 V, the load’s cut-off, are 83.9 A: a BMS for 105 A, a fuse for 1.25 times that BMS, a shunt of 100 A', () => {
		const { bms, fuse, shunt } = sizeParts(bank);
		expect(bms).toMatchObject({
			sizeA: 150,
			wantedA: expect.closeTo(104.9, 1),
			series: 8,
			needsColdSensor: true,
			feedsItself: true
		});
		expect(bms.surgeA).toBeCloseTo(121, 1);
		expect(bms.fullV).toBeCloseTo(29.2, 9);
		expect(fuse).toMatchObject({ sizeA: 200, leastDcV: expect.closeTo(29.2, 9) });
		expect(shunt.sizeA).toBe(100);
	});
	it('a shunt five times too large counts five times as much out of nothing', () => {
		const { shunt } = sizeParts(bank);
		// 0.04 % of 100 A for 24 h.
		expect(shunt.zeroAhPerDay).toBeCloseTo(0.96, 9);
		expect(shunt.fiveTimesAhPerDay).toBeCloseTo(4.8, 9);
	});
	it('a coil of 4 W takes 96 Wh a day, 1.6 % of 230 Ah at 25.6 V', () =>
		expect(sizeParts(bank).contactor).toEqual({ whPerDay: 96, shareOfCapacity: expect.closeTo(0.0163, 4) }));
	it('two batteries share; what no size carries is none; three cells do not feed a BMS', () => {
		expect(sizeParts({ ...bank, batteries: 2 }).bms.sizeA).toBe(60);
		expect(sizeParts({ ...bank, peakW: 20_000 }).bms.sizeA).toBeNull();
		expect(sizeParts({ ...bank, series: 3 }).bms.feedsItself).toBe(false);
		expect(() => sizeParts({ ...bank, series: 0 })).toThrow(/series/);
	});
	it('an inverter of 2 kW at 12.4 V takes 179 A, and asks for a BMS of 224 A', () => {
		// By hand: 2000 W ÷ 0.9 ÷ 12.4 V, times 1.25.
		const small = { ...bank, series: 4, peakW: 2000 / 0.9, chargeA: 20 };
		expect(sizeParts({ ...small, leastV: 12.4 }).bms).toMatchObject({ sizeA: 250, wantedA: expect.closeTo(224, 0) });
		expect(sizeParts(small).bms.wantedA, 'the usual cut-off of four LFP cells').toBeCloseTo(224, 0);
		expect(sizeParts({ ...small, leastV: 10.5 }).bms.wantedA).toBeCloseTo(264.6, 1);
	});
});
