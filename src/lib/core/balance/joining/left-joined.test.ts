import { describe, expect, it } from 'vitest';
import { leftJoined, type JoinInput } from '.';

const item = (id: string, restVoltageV: number) => ({ id, restVoltageV, capacityAh: 100, sdV: 0.001 });
const row = (...volts: number[]): JoinInput => ({
	chemistry: 'LFP',
	linkOhm: 0.0005,
	items: volts.map((v, i) => item(`C${i}`, v))
});

describe('cells that are left joined without a charge', () => {
	it('on the plateau most of what parts them stays, for a day and a week', () => {
		const [day, week] = leftJoined(row(3.292, 3.303), [24, 168]) as [
			ReturnType<typeof leftJoined>[number],
			ReturnType<typeof leftJoined>[number]
		];
		expect(day.leftAh.likely).toBeGreaterThan(0.3 * day.apartAh.likely);
		expect(day.leftAh.likely).toBeLessThan(day.apartAh.likely);
		// The loop of each cell holds a part of it for good.
		expect(week.leftAh.likely).toBeLessThan(1.1 * day.leftAh.likely);
		// What one gives the other takes: each Ah moved brings the two nearer by two.
		expect(day.apartAh.likely - day.leftAh.likely).toBeLessThan(2.6 * day.movedAh.high95);
		expect(day.movedAh.low95).toBeGreaterThanOrEqual(0);
	});
	it('on the steep side it is gone in a day', () => {
		const [day] = leftJoined(row(3.0, 3.18), [24]);
		expect(day!.leftAh.likely).toBeLessThan(0.45 * day!.apartAh.likely);
	});
	it('says nothing of voltages no cell has, of one cell, or of months', () => {
		expect(() => leftJoined(row(3.3, 33), [24])).toThrow(/restVoltageV/);
		expect(() => leftJoined(row(3.3), [24])).toThrow(/two/);
		expect(() => leftJoined(row(3.3, 3.31), [24, 2000])).toThrow(/hours/);
		expect(() => leftJoined(row(3.3, 3.31), [24, 12])).toThrow(/hours/);
	});
});
