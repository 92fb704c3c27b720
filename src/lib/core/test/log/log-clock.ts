const DAY_S = 86400;
const CLOCK = /^(?:(\d+)(?:[ .d]\s*|:(?=\d+:\d{2}:)))?(\d{1,3}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?$/;
const YEAR_FIRST = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})[T ,]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?/;
const YEAR_LAST = /^(\d{1,2})([-/.])(\d{1,2})\2(\d{2,4})[T ,]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*([ap]m)?/i;

export type TimeStyle = 'number' | 'clock' | 'date-time';

const seconds = (text: string | undefined) => (text === undefined ? 0 : Number(text.replace(',', '.')));

/** How the times of a log are written, from one sample of them; null when it is none of the known ways. */
export function timeStyleOf(text: string): TimeStyle | null {
	const trimmed = text.trim();
	if (/^[+-]?\d+([.,]\d+)?(e[+-]?\d+)?$/i.test(trimmed)) return 'number';
	if (YEAR_FIRST.test(trimmed) || YEAR_LAST.test(trimmed)) return 'date-time';
	return CLOCK.test(trimmed) ? 'clock' : null;
}

/** Seconds of a clock text `[days ]h:mm[:ss]`; NaN when it is not one. */
export function clockSeconds(text: string): number {
	const m = CLOCK.exec(text.trim());
	return m ? Number(m[1] ?? 0) * DAY_S + Number(m[2]) * 3600 + Number(m[3]) * 60 + seconds(m[4]) : NaN;
}

/**
 * Seconds since 1970 of a date and time text; NaN when it is not one.
 * @param monthFirst how to read `03/09/2026`: true takes the first number as the month
 */
export function dateTimeSeconds(text: string, monthFirst: boolean): number {
	const trimmed = text.trim();
	const iso = YEAR_FIRST.exec(trimmed);
	if (iso) return Date.UTC(+iso[1]!, +iso[2]! - 1, +iso[3]!, +iso[4]!, +iso[5]!) / 1000 + seconds(iso[6]);
	const m = YEAR_LAST.exec(trimmed);
	if (!m) return NaN;
	const year = m[4]!.length === 2 ? 2000 + Number(m[4]) : Number(m[4]);
	const [day, month] = monthFirst ? [+m[3]!, +m[1]!] : [+m[1]!, +m[3]!];
	const half = m[8]?.toLowerCase();
	const hour = half ? (+m[5]! % 12) + (half === 'pm' ? 12 : 0) : +m[5]!;
	return month > 12 ? NaN : Date.UTC(year, month - 1, day, hour, +m[6]!) / 1000 + seconds(m[7]);
}

/** Whether slashed or dotted dates must be month-first: some "month" is above 12 the other way round. */
export function needsMonthFirst(texts: readonly string[]): boolean {
	return texts.some((text) => {
		const m = YEAR_LAST.exec(text.trim());
		return m !== null && Number(m[3]) > 12;
	});
}
