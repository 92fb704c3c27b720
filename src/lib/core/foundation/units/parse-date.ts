import { format, isValid, parse } from 'date-fns';
import type { Settings } from './units';

const EARLIEST_YEAR = 1950;
const LATEST_YEAR = 2100;

/** What people write, by style; the written month and the ISO form are understood in each. */
const ANY_STYLE = ['yyyy-M-d', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d, yyyy', 'MMMM d, yyyy', 'MMM d yyyy', 'd.M.yyyy'];
const BY_STYLE: Record<Settings['dateStyle'], readonly string[]> = {
	'day-first': ['d/M/yyyy', 'd-M-yyyy'],
	'month-first': ['M/d/yyyy', 'M-d-yyyy'],
	iso: []
};
const TIMES = ['', ', H:mm', ' H:mm', "'T'H:mm", ', h:mm a', ' h:mm a', ' h:mma', ' h a', ' ha'];
/** A year of two digits: the last 75 years and the next 25. */
const shortYear = (pattern: string) => pattern.replace('yyyy', 'yy');

/** As people write months: `Sept.` is none that a calendar knows. */
const asWritten = (text: string): string =>
	text
		.trim()
		.replace(/\s+/g, ' ')
		.replace(/\bsept\b\.?/i, 'Sep')
		.replace(/\b(\d{1,2})(st|nd|rd|th)\b/i, '$1')
		.replace(/([A-Za-z]{3,})\./, '$1')
		.replace(/([ap])\.m\.?$/i, '$1m');

/**
 * A typed date in the chosen style, with a time of day where one is written.
 * @returns `yyyy-MM-dd`, with a time `yyyy-MM-dd'T'HH:mm`; null when nothing is typed, undefined when it is no date
 */
export function parseDate(text: string, style: Settings['dateStyle']): string | null | undefined {
	const typed = asWritten(text);
	if (typed === '') return null;
	const patterns = [...ANY_STYLE, ...BY_STYLE[style]];
	for (const date of [...patterns, ...patterns.map(shortYear)])
		for (const time of TIMES) {
			const moment = parse(typed, date + time, new Date(2000, 0, 1));
			const year = isValid(moment) ? moment.getFullYear() : NaN;
			if (year >= EARLIEST_YEAR && year <= LATEST_YEAR)
				return format(moment, time ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd');
		}
	return undefined;
}

const DAY_S = 86_400;
/** Written before a date it makes: a day three days, a month a month, a year a year uncertain (half-width). */
const ABOUT = /^(?:about|around|approx(?:imately|\.)?|circa|ca\.?|roughly|~)\s*/i;

/** A date as somebody remembers it: its middle, and how far off that may be, s (half-width); null where it is exact. */
export interface RoughDate {
	/** `yyyy-MM-dd`, with a time `yyyy-MM-dd'T'HH:mm`. */
	local: string;
	doubtS: number | null;
}

/**
 * A date as {@link parseDate} reads it, or a month and year, or a year, or one of them with `about` before it.
 * @returns null when nothing is typed, undefined when it is no date
 */
export function parseRoughDate(text: string, style: Settings['dateStyle']): RoughDate | null | undefined {
	const typed = asWritten(text);
	if (typed === '') return null;
	const isAbout = ABOUT.test(typed);
	const rest = typed.replace(ABOUT, '');
	const day = parseDate(rest, style);
	if (day) return { local: day, doubtS: isAbout ? 3 * DAY_S : null };
	const inRange = (year: number) => year >= EARLIEST_YEAR && year <= LATEST_YEAR;
	for (const pattern of ['MMM yyyy', 'MMMM yyyy', 'MMM, yyyy', 'MMMM, yyyy', 'M/yyyy', 'M.yyyy', 'yyyy-M', 'yyyy/M']) {
		const month = parse(rest, pattern, new Date(2000, 0, 1));
		if (isValid(month) && inRange(month.getFullYear()))
			return { local: format(month, "yyyy-MM-'16'"), doubtS: (isAbout ? 31 : 16) * DAY_S };
	}
	if (/^\d{4}$/.test(rest) && inRange(Number(rest)))
		return { local: `${rest}-07-02`, doubtS: (isAbout ? 366 : 183) * DAY_S };
	return undefined;
}
