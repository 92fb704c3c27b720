import { describe, expect, it } from 'vitest';
import { countedCharge } from './counter-sessions';
import type { ChargeReading } from './charge-reading';

const look = (hour: number, supplyA: number, deliveredAh: number | null, more: Partial<ChargeReading> = {}) => ({
	timeS: hour * 3600,
	supplyV: 3.6,
	supplyA,
	cellV: 3.35,
	deliveredAh,
	...more
});
/** Ten amperes by day, off by night; the counter of each day begins at 0. */
const DAYS = [
	look(0, 20, 0),
	look(9.8, 20, 196),
	look(9.81, 0, 196),
	look(24, 20, 4),
	look(37.85, 20, 277),
	look(37.86, 0, 277),
	look(48, 20, null),
	look(58.5, 20, 210)
];

describe('several days of one charge', () => {
	it('196, 277 and 210 Ah with the supply off in between are 683 Ah, not 487', () => {
		expect(countedCharge(DAYS)).toEqual({ ah: 683, low: 683, high: 683, asks: [] });
	});
	it('asks where the look after the night fits both ways, and says between what it lies', () => {
		// 196 Ah, off for the night, and at the end of the next day 277 Ah: 81 more, or 277 since it was switched on.
		const readings = [look(0, 20, 0), look(9.8, 0, 196), look(38, 20, 277)];
		expect(countedCharge(readings)).toEqual({ ah: 473, low: 277, high: 473, asks: [2] });
		expect(countedCharge(readings.with(2, look(38, 20, 277, { counterAnew: true }))).ah).toBe(473);
		expect(countedCharge(readings.with(2, look(38, 20, 277, { counterAnew: false })))).toEqual({
			ah: 277,
			low: 277,
			high: 277,
			asks: []
		});
	});
	it('a counter that goes on through a night is told by amperes and hours', () => {
		// It was still off a few minutes before: 197 Ah cannot have flowed since.
		const readings = [look(0, 20, 0), look(9.8, 0, 196), look(24, 0, 196), look(24.1, 20, 197), look(27, 20, 256)];
		expect(countedCharge(readings)).toMatchObject({ ah: 256, asks: [] });
	});
	it('an off that nobody wrote down is noticed where the hours contradict that it went on', () => {
		const readings = [look(0, 20, 0), look(10, 20, 200), look(22, 20, 240)];
		// 12 h at 20 A are 240 Ah: it began anew, or the supply was off for ten hours.
		expect(countedCharge(readings)).toEqual({ ah: 440, low: 240, high: 440, asks: [2] });
		expect(countedCharge([look(0, 20, 0), look(10, 20, 200), look(12, 20, 240)])).toMatchObject({ ah: 240, asks: [] });
	});
	it('a figure that falls began anew; a marked one, too', () => {
		expect(countedCharge([look(0, 20, 0), look(5, 20, 100), look(10, 20, 60)]).ah).toBe(160);
		expect(countedCharge([look(0, 20, 0), look(5, 20, 100), look(6, 20, 120, { counterAnew: true })]).ah).toBe(220);
	});
	it('without any count it goes by amperes and hours, while the supply runs only', () => {
		const readings = [look(0, 20, null), look(5, 20, null), look(6, 0, null), look(20, 20, null), look(21, 10, null)];
		// 100 + 20 + nothing overnight + 15.
		expect(countedCharge(readings).ah).toBeCloseTo(135, 9);
		expect(countedCharge([])).toEqual({ ah: 0, low: 0, high: 0, asks: [] });
	});
	it('what flows after the last count is added by amperes and hours', () =>
		expect(countedCharge([look(0, 20, 0), look(5, 20, 98), look(7, 20, null)]).ah).toBeCloseTo(138, 9));
});
