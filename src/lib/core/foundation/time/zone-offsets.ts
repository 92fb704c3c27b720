import { CoreError } from '../errors';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const MINUTE_MS = 60_000;

/** From a moment on (ms since 1970) local time is so many minutes ahead of UTC. */
export interface ZoneOffset {
	fromMs: number;
	offsetMin: number;
}

/** Minutes that a zone is ahead of UTC at a moment. */
function offsetIn(format: Intl.DateTimeFormat, ms: number): number {
	const parts = Object.fromEntries(format.formatToParts(new Date(ms)).map(({ type, value }) => [type, Number(value)]));
	const local = Date.UTC(parts.year!, parts.month! - 1, parts.day!, parts.hour! % 24, parts.minute!, parts.second!);
	return Math.round((local - Math.floor(ms / 1000) * 1000) / MINUTE_MS);
}

/**
 * How a zone's clocks stand from a moment on, daylight saving included, first first; each to the minute.
 * @param timeZone IANA name, e.g. `Europe/Paris` @param days looked ahead
 * @throws CoreError `time-zone` for a name nobody knows
 */
export function zoneOffsets(timeZone: string, fromMs: number, days: number): ZoneOffset[] {
	let format: Intl.DateTimeFormat;
	try {
		const fields = { year: 'numeric', month: 'numeric', day: 'numeric', hour: 'numeric', minute: 'numeric' } as const;
		format = new Intl.DateTimeFormat('en-US', { timeZone, hourCycle: 'h23', second: 'numeric', ...fields });
	} catch {
		throw new CoreError('time-zone', 'timeZone', `timeZone requires a name like Europe/Paris, got ${timeZone}`);
	}
	const offsets: ZoneOffset[] = [{ fromMs, offsetMin: offsetIn(format, fromMs) }];
	for (let ms = fromMs; ms < fromMs + days * DAY_MS; ms += DAY_MS) {
		const before = offsets.at(-1)!.offsetMin;
		const after = offsetIn(format, ms + DAY_MS);
		if (after === before) continue;
		let [low, high] = [ms, ms + DAY_MS];
		while (high - low > MINUTE_MS) {
			const middle = (low + high) / 2;
			if (offsetIn(format, middle) === before) low = middle;
			else high = middle;
		}
		offsets.push({ fromMs: Math.round(high / MINUTE_MS) * MINUTE_MS, offsetMin: after });
	}
	return offsets;
}

/** The offset that holds at a moment. @param offsets as {@link zoneOffsets} gives them */
export function offsetAt(offsets: readonly ZoneOffset[], ms: number): number {
	let own = offsets[0]!.offsetMin;
	for (const { fromMs, offsetMin } of offsets) if (fromMs <= ms) own = offsetMin;
	return own;
}
