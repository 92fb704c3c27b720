import { format, isValid, parseISO } from 'date-fns';
import type { Settings } from './units';

/**
 * Decimals that a doubt justifies: one significant digit of the standard deviation, two when it starts with 1.
 * `null` or 0 sd gives `fallback`.
 */
export function decimalsFor(sd: number | null, fallback: number): number {
	if (sd === null || !(sd > 0)) return fallback;
	const exponent = Math.floor(Math.log10(sd));
	const leading = sd / 10 ** exponent;
	return Math.min(6, Math.max(0, -exponent + (leading < 2 ? 1 : 0)));
}

/** A figure with sensible digits; an en dash when missing. */
export function formatNumber(value: number | null | undefined, decimals: number): string {
	if (value === null || value === undefined) return '–';
	const text = value.toFixed(decimals);
	return Number(text) === 0 ? (0).toFixed(decimals) : text.replace('-', '−');
}

/** `value ± doubt unit`, digits taken from the doubt. `sd` is one standard deviation; shown as it is. */
export function formatWithDoubt(value: number | null, sd: number | null, unit: string, fallbackDecimals = 1): string {
	const decimals = decimalsFor(sd, fallbackDecimals);
	const doubt = sd !== null && sd > 0 ? ` ± ${sd.toFixed(decimals)}` : '';
	return `${formatNumber(value, decimals)}${doubt} ${unit}`;
}

/** A fraction 0..1 as whole percent. */
export function formatPercent(fraction: number | null): string {
	return fraction === null ? '–' : `${Math.round(fraction * 100)} %`;
}

/** A duration in its useful units: `3 d 4 h`, `17 h`, `5 h 20 min`, `12 min`. */
export function formatDuration(seconds: number): string {
	const minutes = Math.round(seconds / 60);
	if (minutes < 60) return `${minutes} min`;
	const hours = Math.floor(minutes / 60);
	// Minutes beside ten hours and more would promise what no estimate keeps.
	if (hours >= 10 && hours < 48) return `${Math.round(minutes / 60)} h`;
	if (hours < 48) return minutes % 60 ? `${hours} h ${minutes % 60} min` : `${hours} h`;
	return hours % 24 ? `${Math.floor(hours / 24)} d ${hours % 24} h` : `${Math.floor(hours / 24)} d`;
}

const DATE_PATTERNS: Record<Settings['dateStyle'], string> = {
	'day-first': 'd MMM yyyy',
	'month-first': 'MMM d, yyyy',
	iso: 'yyyy-MM-dd'
};

/** A day is stored as its midnight in UTC: it is the same day wherever it is read. */
const DAY_ALONE = /^\d{4}-\d{2}-\d{2}(T00:00:00(\.0+)?Z)?$/;

/** The day of a moment for whoever looks; of a day alone, itself. */
const dayOf = (iso: string): Date => (DAY_ALONE.test(iso) ? parseISO(iso.slice(0, 10)) : parseISO(iso));

/** A calendar date (ISO text of a day or a moment) in the chosen style; an en dash when missing. */
export function formatDate(iso: string | null, style: Settings['dateStyle']): string {
	return iso === null ? '–' : format(dayOf(iso), DATE_PATTERNS[style]);
}

/** Today, or the day of another moment, where whoever types is: `yyyy-MM-dd`. */
export const localDay = (moment: Date): string => format(moment, 'yyyy-MM-dd');

/** A sentence with its ISO dates in the chosen style. */
export const withDates = (text: string, style: Settings['dateStyle']): string =>
	text.replace(/(?<![\d-])\d{4}-\d{2}-\d{2}\b(?![T\d-])/g, (day) =>
		isValid(parseISO(day)) ? formatDate(day, style) : day
	);

/** A typed date, as {@link parseDate} gives it, in the chosen style and with its time of day where it has one. */
export const formatTyped = (local: string, style: Settings['dateStyle']): string =>
	local.includes('T') ? formatDateTime(local, style) : formatDate(local, style);

/** Date and wall-clock time, in the time zone of whoever looks; a day that was entered without a time stays a day. */
export function formatDateTime(iso: string | null, style: Settings['dateStyle']): string {
	if (iso === null || DAY_ALONE.test(iso)) return formatDate(iso, style);
	return format(parseISO(iso), `${DATE_PATTERNS[style]}, HH:mm`);
}

/** An age in years: whole from 10, one decimal below; beyond the horizon of the model only that it is more. */
export const formatYears = (years: number, horizonYears = 60): string =>
	years >= horizonYears ? `over ${horizonYears}` : years.toFixed(years < 9.95 ? 1 : 0);
