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
const TIMES = ['', ', H:mm', ' H:mm', "'T'H:mm"];

/**
 * A typed date in the chosen style, with a time of day where one is written.
 * @returns `yyyy-MM-dd`, with a time `yyyy-MM-dd'T'HH:mm`; null when nothing is typed, undefined when it is no date
 */
export function parseDate(text: string, style: Settings['dateStyle']): string | null | undefined {
	const typed = text.trim().replace(/\s+/g, ' ');
	if (typed === '') return null;
	for (const date of [...ANY_STYLE, ...BY_STYLE[style]])
		for (const time of TIMES) {
			const moment = parse(typed, date + time, new Date(2000, 0, 1));
			const year = isValid(moment) ? moment.getFullYear() : NaN;
			if (year >= EARLIEST_YEAR && year <= LATEST_YEAR)
				return format(moment, time ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd');
		}
	return undefined;
}
