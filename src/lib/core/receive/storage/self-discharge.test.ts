import { describe, expect, it } from 'vitest';
import { restVoltageCurve } from '../../foundation/chemistry';
import { WHOLE_BANK } from '../../foundation/verdicts';
import { judgeLeakage, leakageByReadings, leakageByRefill } from '.';

const on = (day: number) => new Date(Date.UTC(2026, 0, 1) + day * 86_400_000).toISOString();
const read = (day: number, restVoltageV: number, sdV = 0.002) => ({ at: on(day), restVoltageV, sdV, temperatureC: 20 });
const code = (leak: Parameters<typeof judgeLeakage>[0], by: 'refill' | 'voltages' = 'voltages') =>
	judgeLeakage(leak, by, WHOLE_BANK).code;

describe('by a refill', () => {
	it('by hand: 4 Ah of 200 in 30.4375 days, 0.3 Ah of them counted too much, is 1.85 % a month, ± 1.96 of both', () => {
		const { percentPerMonth } = leakageByRefill(200, { ah: 4, sdAh: 0.15, days: 30.4375 });
		const half = (1.96 * Math.hypot(0.15, 0.4)) / 2;
		expect(percentPerMonth!.likely).toBeCloseTo(1.85, 9);
		expect(percentPerMonth!.low95).toBeCloseTo(1.85 - half, 9);
		expect(percentPerMonth!.high95).toBeCloseTo(1.85 + half, 9);
	});
	it('half the days are twice the rate; a cell that took less than nothing lost nothing', () => {
		expect(leakageByRefill(200, { ah: 4, sdAh: 0, days: 15.21875 }).percentPerMonth!.likely).toBeCloseTo(3.7, 9);
		expect(leakageByRefill(200, { ah: -1, sdAh: 0, days: 30 }).percentPerMonth).toEqual({
			low95: 0,
			likely: 0,
			high95: 0
		});
	});
	it('refuses no days and no capacity', () => {
		expect(() => leakageByRefill(200, { ah: 1, sdAh: 0, days: 0 })).toThrow(/refill.days/);
		expect(() => leakageByRefill(0, { ah: 1, sdAh: 0, days: 9 })).toThrow(/capacityAh/);
	});
	it('is judged by its whole interval', () => {
		const of = (ah: number) => leakageByRefill(200, { ah, sdAh: 0.2, days: 30.4375 });
		expect(code(of(3), 'refill')).toBe('self-discharge-usual');
		expect(code(of(6), 'refill')).toBe('self-discharge-unsure');
		expect(code(of(12), 'refill')).toBe('self-discharge-high');
	});
});

describe('by rest voltages', () => {
	const curve = restVoltageCurve('LFP');
	it('where the curve is steep a loss of 2 % a month shows', () => {
		const { percentPerMonth } = leakageByReadings('LFP', [
			read(0, curve.at(0.16)),
			read(45, curve.at(0.16 - 0.02 * (45 / 30.4375))),
			read(90, curve.at(0.16 - 0.02 * (90 / 30.4375)))
		]);
		expect(percentPerMonth!.low95).toBeLessThan(2);
		expect(percentPerMonth!.high95).toBeGreaterThan(2);
		expect(percentPerMonth!.high95 - percentPerMonth!.low95).toBeLessThan(2);
	});
	it('on the plateau the same voltage is from nothing to several per cent a month: not told', () => {
		const leak = leakageByReadings('LFP', [read(0, 3.331), read(90, 3.331)]);
		expect(leak.percentPerMonth!.low95).toBe(0);
		expect(leak.percentPerMonth!.high95).toBeGreaterThan(5);
		expect(code(leak)).toBe('self-discharge-unsure');
	});
	it('longer apart is closer: the same readings over a year rule out what a month cannot', () => {
		const over = (days: number) => leakageByReadings('LFP', [read(0, 3.331), read(days, 3.33)]).percentPerMonth!.high95;
		expect(over(365)).toBeLessThan(over(60) / 3);
	});
	it('a cell that falls from full says nothing by that', () => {
		expect(leakageByReadings('LFP', [read(0, 3.45), read(30, 3.37)])).toMatchObject({
			percentPerMonth: null,
			why: 'relaxing'
		});
		expect(leakageByReadings('LFP', [read(0, 3.45), read(2, 3.334)])).toMatchObject({
			percentPerMonth: null,
			why: 'flat'
		});
	});
	it('a cell once full and nearly empty after two months leaks', () => {
		const leak = leakageByReadings('LFP', [read(0, 3.4), read(60, 3.1)]);
		expect(leak.percentPerMonth!.low95).toBeGreaterThan(30);
		expect(code(leak)).toBe('self-discharge-high');
	});
	it('the order they are sent in does not matter; one, or two of one moment, say nothing', () => {
		const [a, b] = [read(0, 3.22), read(90, 3.2)];
		expect(leakageByReadings('LFP', [b, a])).toEqual(leakageByReadings('LFP', [a, b]));
		expect(leakageByReadings('LFP', [a]).why).toBe('too-few');
		expect(leakageByReadings('LFP', [a, { ...a }]).why).toBe('no-time');
		expect(() => leakageByReadings('LFP', [{ ...a, at: 'soon' }, b])).toThrow(/readings.0.at/);
	});
});
