import { CoreError, requirePositive } from '../errors';

/** Hours of the day in which a person can be asked for something, local time: from 0 to 24. Both alike: always. */
export interface WakingHours {
	fromH: number;
	untilH: number;
}

const HOUR_MS = 3_600_000;
const DAY_H = 24;
/** A later start is looked for in steps of so much, ms. */
const STEP_MS = HOUR_MS / 4;

/** Hour of the local day of a moment, 0 to 24. @param offsetMin minutes that local time is ahead of UTC */
const hourOf = (ms: number, offsetMin: number): number => (((ms / HOUR_MS + offsetMin / 60) % DAY_H) + DAY_H) % DAY_H;

/** Waking hours of a day; over midnight where somebody works nights. */
export function wakingLength({ fromH, untilH }: WakingHours): number {
	const length = (((untilH - fromH) % DAY_H) + DAY_H) % DAY_H;
	return length === 0 ? DAY_H : length;
}

/**
 * Whether something that will need a person at some moment between two may do so while they sleep.
 * @throws CoreError `order` when the end is before the beginning
 */
export function mayFallInNight(fromMs: number, untilMs: number, waking: WakingHours, offsetMin: number): boolean {
	if (untilMs < fromMs)
		throw new CoreError('order', 'untilMs', `untilMs requires at least fromMs, ${fromMs}; got ${untilMs}`);
	const length = wakingLength(waking);
	if (length === DAY_H) return false;
	const sinceWaking = (hourOf(fromMs, offsetMin) - waking.fromH + DAY_H) % DAY_H;
	return sinceWaking + (untilMs - fromMs) / HOUR_MS > length;
}

/**
 * The earliest start within a day from now at which work of an uncertain length ends in waking hours for sure.
 * @returns ms since 1970, `nowMs` when that is now; null when no start does: its length is too uncertain for a day
 */
export function startForDaytimeEnd(
	nowMs: number,
	durationMs: { low: number; high: number },
	waking: WakingHours,
	offsetMin: number
): number | null {
	for (let start = nowMs; start < nowMs + DAY_H * HOUR_MS; start += STEP_MS)
		if (!mayFallInNight(start + durationMs.low, start + durationMs.high, waking, offsetMin)) return start;
	return null;
}

/**
 * When to pause what may need somebody by night, and when to go on: the evening before, as bedtime comes, and the next waking hour.
 * @param nowMs if that is in the night already, the pause is now
 * @returns null when it will not need anybody by night @throws CoreError `order`
 */
export function pauseForNight(
	nowMs: number,
	fromMs: number,
	untilMs: number,
	waking: WakingHours,
	offsetMin: number
): { pauseMs: number; goOnMs: number } | null {
	if (!mayFallInNight(Math.max(nowMs, fromMs), Math.max(nowMs, untilMs), waking, offsetMin)) return null;
	const length = wakingLength(waking);
	// The last evening before it could first need somebody.
	const first = Math.max(nowMs, fromMs);
	const sinceWaking = (hourOf(first, offsetMin) - waking.fromH + DAY_H) % DAY_H;
	const bedMs = first - (sinceWaking - length) * HOUR_MS;
	const pauseMs = Math.max(nowMs, bedMs);
	return { pauseMs, goOnMs: bedMs + (DAY_H - length) * HOUR_MS };
}

/** The moment itself where somebody is up then, else the next at which somebody gets up, ms since 1970. */
export function nextWakingMoment(ms: number, waking: WakingHours, offsetMin: number): number {
	const length = wakingLength(waking);
	const sinceWaking = (hourOf(ms, offsetMin) - waking.fromH + DAY_H) % DAY_H;
	return sinceWaking <= length ? ms : ms + (DAY_H - sinceWaking) * HOUR_MS;
}

/** The moment itself where somebody is up then, else the last before it at which somebody went to bed, ms since 1970. */
export function lastWakingMoment(ms: number, waking: WakingHours, offsetMin: number): number {
	const length = wakingLength(waking);
	const sinceWaking = (hourOf(ms, offsetMin) - waking.fromH + DAY_H) % DAY_H;
	return sinceWaking <= length ? ms : ms - (sinceWaking - length) * HOUR_MS;
}

/**
 * How long work takes by the calendar that goes on only so many hours a day, s. @param hoursADay null: day and night
 * @throws CoreError `not-positive` for hours that are none
 */
export function byTheCalendarS(workS: number, hoursADay: number | null): number {
	if (hoursADay === null || hoursADay >= DAY_H) return workS;
	requirePositive(hoursADay, 'hoursADay');
	const days = Math.floor(workS / 3600 / hoursADay);
	// The hours of the last day follow each other; the nights before it are waited through.
	return days * DAY_H * 3600 + (workS - days * hoursADay * 3600);
}
