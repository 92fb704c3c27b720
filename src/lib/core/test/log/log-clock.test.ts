import { describe, expect, it } from 'vitest';
import { clockSeconds, dateTimeSeconds, needsMonthFirst, timeStyleOf } from './log-clock';

describe('times of a log', () => {
	it.each([
		['12.5', 'number'],
		['1,5', 'number'],
		['1e3', 'number'],
		['0:00:01', 'clock'],
		['100:15:00', 'clock'],
		['1 02:03:04', 'clock'],
		['1:02:03:04', 'clock'],
		['2026-03-09 14:05:00', 'date-time'],
		['2026-03-09T14:05:00.250Z', 'date-time'],
		['09.03.2026 14:05', 'date-time'],
		['3/9/26 2:05:00 PM', 'date-time'],
		['soon', null],
		['', null]
	])('%j is written as %s', (text, style) => expect(timeStyleOf(text)).toBe(style));
	it.each([
		['0:01:30', 90],
		['23:30:00', 84600],
		['2:30', 9000],
		['1 00:00:01', 86401],
		['2:01:00:00', 176400],
		['100:00:00.5', 360000.5],
		['0:00:00,25', 0.25]
	])('clock %j is %d s', (text, seconds) => expect(clockSeconds(text)).toBe(seconds));
	it('gives NaN for what is no clock', () => expect(clockSeconds('noon')).toBeNaN());
	it('reads the same instant however it is written', () => {
		const instant = Date.UTC(2026, 2, 9, 14, 5, 0) / 1000;
		for (const text of [
			'2026-03-09 14:05:00',
			'2026/3/9 14:05',
			'09.03.2026 14:05:00',
			'9-3-26 14:05',
			'9/3/2026 2:05 pm'
		])
			expect(dateTimeSeconds(text, false), text).toBe(instant);
		expect(dateTimeSeconds('3/9/2026 14:05', true)).toBe(instant);
		expect(dateTimeSeconds('9/3/2026 12:00 am', false)).toBe(Date.UTC(2026, 2, 9) / 1000);
	});
	it('gives NaN for a month beyond 12 and for no date', () => {
		expect(dateTimeSeconds('3/31/2026 14:05', false)).toBeNaN();
		expect(dateTimeSeconds('later', false)).toBeNaN();
	});
	it('sees that the month must come first', () => {
		expect(needsMonthFirst(['3/9/2026 1:00', '3/13/2026 1:00'])).toBe(true);
		expect(needsMonthFirst(['13/3/2026 1:00', '9/3/2026 1:00'])).toBe(false);
		expect(needsMonthFirst([])).toBe(false);
	});
});
