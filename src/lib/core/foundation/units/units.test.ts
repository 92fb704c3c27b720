import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	decimalsFor,
	formatDate,
	formatDateTime,
	formatDuration,
	formatNumber,
	formatPercent,
	formatTyped,
	formatYears,
	formatWithDoubt,
	fromUserUnits,
	localDay,
	parseDate,
	parseRoughDate,
	toUserUnits,
	unitOf,
	withDates
} from '.';

describe('an age in years', () => {
	it.each([
		[8.42, '8.4'],
		[9.97, '10'],
		[22.4, '22'],
		[60, 'over 60']
	])('%s is told as %s', (years, text) => expect(formatYears(years)).toBe(text));
});

describe('units', () => {
	it('converts reference values', () => {
		expect(toUserUnits(0, 'temperature', 'us')).toBe(32);
		expect(toUserUnits(45, 'temperature', 'us')).toBe(113);
		expect(toUserUnits(1, 'mass', 'us')).toBeCloseTo(2.20462, 5);
		expect(toUserUnits(25.4, 'length', 'us')).toBeCloseTo(1, 12);
		expect(toUserUnits(4, 'torque', 'us')).toBeCloseTo(35.403, 3);
		expect(unitOf('torque', 'us')).toBe('in·lb');
		expect(toUserUnits(null, 'mass', 'us')).toBeNull();
	});
	it('comes back to where it started', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -100, max: 1000, noNaN: true }),
				fc.constantFrom('temperature' as const, 'mass' as const, 'length' as const, 'torque' as const),
				(value, quantity) => Math.abs(fromUserUnits(toUserUnits(value, quantity, 'us'), quantity, 'us')! - value) < 1e-9
			)
		);
	});
});

describe('sensible digits', () => {
	it('lets the doubt decide', () => {
		expect(decimalsFor(3, 1)).toBe(0);
		expect(decimalsFor(1.4, 1)).toBe(1);
		expect(decimalsFor(0.002, 1)).toBe(3);
		expect(decimalsFor(null, 2)).toBe(2);
		expect(formatWithDoubt(224.31, 3.1, 'Ah')).toBe('224 ± 3 Ah');
		expect(formatWithDoubt(0.1784, null, 'mΩ', 3)).toBe('0.178 mΩ');
	});
	it('shows a missing value as a dash and never a negative zero', () => {
		expect(formatNumber(null, 2)).toBe('–');
		expect(formatNumber(-0.001, 1)).toBe('0.0');
		expect(formatNumber(-1.25, 1)).toMatch(/^−1\.[23]$/);
	});
	it('writes durations, dates and percent', () => {
		expect(formatDuration(40 * 60)).toBe('40 min');
		expect(formatDuration(5 * 3600 + 1200)).toBe('5 h 20 min');
		expect(formatDuration(16 * 3600 + 42 * 60)).toBe('17 h');
		expect(formatDuration(76 * 3600)).toBe('3 d 4 h');
		expect(formatDate('2026-03-09', 'day-first')).toBe('9 Mar 2026');
		expect(formatDate('2026-03-09', 'month-first')).toBe('Mar 9, 2026');
		expect(formatDate(null, 'iso')).toBe('–');
		expect(formatPercent(0.456)).toBe('46 %');
	});
});

describe('typed dates', () => {
	it.each([
		['2026-03-09', 'day-first', '2026-03-09'],
		['9 Mar 2026', 'day-first', '2026-03-09'],
		['9.3.2026', 'month-first', '2026-03-09'],
		['9/3/2026', 'day-first', '2026-03-09'],
		['9/3/2026', 'month-first', '2026-09-03'],
		['Mar 9, 2026', 'month-first', '2026-03-09'],
		['9 march 2026, 22:05', 'day-first', '2026-03-09T22:05'],
		['2026-03-09T22:05', 'iso', '2026-03-09T22:05'],
		['9 Mar 26', 'iso', '2026-03-09'],
		['3/9/26', 'month-first', '2026-03-09'],
		['9/3/26, 10:05 PM', 'day-first', '2026-03-09T22:05'],
		['9 Sept. 2026 7am', 'day-first', '2026-09-09T07:00'],
		['March 9th, 2026 12:30 a.m.', 'month-first', '2026-03-09T00:30']
	] as const)('%s, %s, is %s', (typed, style, date) => expect(parseDate(typed, style)).toBe(date));
	it.each(['31 Feb 2026', '9/3/2026', 'yesterday', '9 Mar 3026', 'May 2023', 'Sept 2022'])(
		'%s is no date in the ISO style',
		(typed) => expect(parseDate(typed, 'iso')).toBeUndefined()
	);
	it.each([
		['May 2023', '2023-05-16', 16],
		['Sept 2022', '2022-09-16', 16],
		['05/2024', '2024-05-16', 16],
		['about May 2023', '2023-05-16', 31],
		['2021', '2021-07-02', 183],
		['ca. 2021', '2021-07-02', 366],
		['about 9 Mar 2026', '2026-03-09', 3],
		['9 Mar 2026', '2026-03-09', null]
	] as const)('%s is the middle of what it says, with its doubt', (typed, local, days) =>
		expect(parseRoughDate(typed, 'day-first')).toEqual({ local, doubtS: days === null ? null : days * 86_400 })
	);
	it('what is no date at all is none, roughly too', () => {
		for (const typed of ['soon', 'about', 'May', '13/2023', 'Mayday 2023', '202'])
			expect(parseRoughDate(typed, 'day-first')).toBeUndefined();
		expect(parseRoughDate('  ', 'iso')).toBeNull();
	});
	it('a day is the same day everywhere, and never a moment', () => {
		expect(formatDateTime('2026-03-21T00:00:00.000Z', 'day-first')).toBe('21 Mar 2026');
		expect(formatDate('2026-03-21', 'iso')).toBe('2026-03-21');
		expect(formatDateTime('2026-03-21T12:00:00Z', 'iso')).toMatch(/^2026-03-2[012], \d\d:\d\d$/);
		expect(localDay(new Date(2026, 2, 9, 23, 30))).toBe('2026-03-09');
	});
	it('dates in a sentence follow the settings; a moment or a code is left alone', () => {
		expect(withDates('Made 2026-03-09 by its code.', 'day-first')).toBe('Made 9 Mar 2026 by its code.');
		expect(withDates('2026-03-09T10:00 and 2026-99-99 and 12-2026-03-09', 'day-first')).toBe(
			'2026-03-09T10:00 and 2026-99-99 and 12-2026-03-09'
		);
	});
	it('nothing typed is no date, and no fault', () => expect(parseDate('  ', 'iso')).toBeNull());
	it('what is shown is understood, in every style', () => {
		for (const style of ['day-first', 'month-first', 'iso'] as const)
			for (const date of ['2026-03-09', '2024-02-29', '2026-11-12T07:05'])
				expect(parseDate(formatTyped(date, style), style)).toBe(date);
	});
});
