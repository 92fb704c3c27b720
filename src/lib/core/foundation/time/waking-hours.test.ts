import { describe, expect, it } from 'vitest';
import { byTheCalendarS, lastWakingMoment, mayFallInNight, pauseForNight, startForDaytimeEnd } from '.';

const waking = { fromH: 7, untilH: 22 };
const at = (hour: number, day = 9) => Date.UTC(2026, 2, day, 0, 0) + hour * 3_600_000;
const H = 3_600_000;

describe('what needs a person', () => {
	it.each([
		[9, 21, false],
		[9, 23, true],
		[3, 4, true],
		[6, 8, true],
		[7, 22, false],
		// Longer than a day's waking hours it may always be by night.
		[7, 31, true]
	])('between %s and %s h may fall in the night: %s', (from, until, night) =>
		expect(mayFallInNight(at(from), at(until), waking, 0)).toBe(night)
	);
	it('is told by local time', () => {
		expect(mayFallInNight(at(6), at(8), waking, 60)).toBe(false);
		expect(mayFallInNight(at(21), at(21.5), waking, 60)).toBe(true);
	});
	it('never does where somebody is always there, and does by day where they work nights', () => {
		expect(mayFallInNight(at(1), at(5), { fromH: 0, untilH: 24 }, 0)).toBe(false);
		const nights = { fromH: 20, untilH: 6 };
		expect(mayFallInNight(at(22), at(29), nights, 0)).toBe(false);
		expect(mayFallInNight(at(12), at(13), nights, 0)).toBe(true);
	});
});

describe('a start that ends by day', () => {
	it('is now where that fits, and later where it does not', () => {
		// 10 to 12 h from 8 in the morning: 18 to 20 h.
		expect(startForDaytimeEnd(at(8), { low: 10 * H, high: 12 * H }, waking, 0)).toBe(at(8));
		// From 14 h it would be midnight to two: from 21 h it is 7 to 9.
		expect(startForDaytimeEnd(at(14), { low: 10 * H, high: 12 * H }, waking, 0)).toBe(at(21));
	});
	it('is none where the length is too uncertain', () =>
		expect(startForDaytimeEnd(at(8), { low: 10 * H, high: 30 * H }, waking, 0)).toBeNull());
	it('refuses an end before its beginning', () =>
		expect(() => mayFallInNight(at(9), at(8), waking, 0)).toThrow(/at least fromMs/));
});

describe('a pause for the night', () => {
	it('comes at bedtime before it could first need somebody, and goes on when they wake', () => {
		// It may end from 1 to 4 in the morning.
		expect(pauseForNight(at(18), at(25), at(28), waking, 0)).toEqual({ pauseMs: at(22), goOnMs: at(31) });
		// It may end from 21 to 23: the evening of the same day.
		expect(pauseForNight(at(18), at(21), at(23), waking, 0)).toEqual({ pauseMs: at(22), goOnMs: at(31) });
		expect(pauseForNight(at(18), at(49), at(51), waking, 0)).toEqual({ pauseMs: at(46), goOnMs: at(55) });
	});
	it('is now where it is night already, and none where it ends by day', () => {
		expect(pauseForNight(at(23), at(25), at(28), waking, 0)).toEqual({ pauseMs: at(23), goOnMs: at(31) });
		expect(pauseForNight(at(8), at(12), at(15), waking, 0)).toBeNull();
		expect(pauseForNight(at(8), at(25), at(28), { fromH: 0, untilH: 24 }, 0)).toBeNull();
	});
});

describe('work that goes on only so many hours a day', () => {
	it('takes as long by the calendar as its days and the hours of the last', () => {
		// By hand: 20 h at 6 h a day are three whole days and two hours.
		expect(byTheCalendarS(20 * 3600, 6)).toBeCloseTo((3 * 24 + 2) * 3600, 6);
		expect(byTheCalendarS(5 * 3600, 6)).toBe(5 * 3600);
		expect(byTheCalendarS(20 * 3600, null)).toBe(20 * 3600);
		expect(byTheCalendarS(20 * 3600, 24)).toBe(20 * 3600);
	});
	it('refuses hours that are none', () => expect(() => byTheCalendarS(3600, 0)).toThrow(/hoursADay/));
});

describe('a look that falls into the night', () => {
	const waking = { fromH: 7, untilH: 22 };
	const at = (h: number) => Date.UTC(2026, 10, 2, h);
	it('is moved to the evening before, and by day stays', () => {
		expect(lastWakingMoment(at(3), waking, 0)).toBe(at(-2));
		expect(lastWakingMoment(at(23), waking, 0)).toBe(at(22));
		expect(lastWakingMoment(at(12), waking, 0)).toBe(at(12));
	});
	it('by the clock on the wall', () => expect(lastWakingMoment(at(21), waking, 120)).toBe(at(20)));
	it('never where somebody is always up', () =>
		expect(lastWakingMoment(at(3), { fromH: 0, untilH: 0 }, 0)).toBe(at(3)));
});
