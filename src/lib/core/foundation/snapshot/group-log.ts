import { sum } from 'd3-array';
import Papa from 'papaparse';
import { CoreError } from '../errors';
import type { ChargeSample } from './passings';

/** A BMS that logs reads one group against another to so much, one sd, V (default). */
export const LOG_SD_V = 0.002;

/** A log of a battery: amperes, and volts of every group. */
export interface GroupLog {
	/** In time order. */
	samples: ChargeSample[];
	/** As its columns are headed, in the order they were taken for groups 1, 2 … */
	groups: string[];
	/** Lines that were passed over: no number where one has to be. */
	passedOver: number;
}

const TIME = /time|date|zeit|temps|tiempo|elapsed|seconds|clock|^t$|^s$|^ms$/i;
const CURRENT = /current|amp|strom|courant|corriente|^i$|^a$|\(a\)|\[a\]/i;
const NOT_A_GROUP =
	/total|pack|sum|battery|delta|diff|spread|max|min|avg|mean|temp|soc|power|capacity|\bah\b|\bwh\b|count|cycle|status/i;
/** Volts of one group; above it the column is in millivolts. */
const MAX_V = 5;
const MV = 1000;
/** Fewer lines than that hold no charge. */
const MIN_LINES = 10;

const numberOf = (text: string | undefined): number => {
	const bare = (text ?? '').trim().replace(',', '.');
	return bare === '' ? NaN : Number(bare);
};
/** Seconds of a day by a clock, ms of a date, seconds of a plain number, all as ms; NaN for anything else. */
function momentOf(text: string | undefined): number {
	const bare = (text ?? '').trim();
	const plain = numberOf(bare);
	if (Number.isFinite(plain)) return plain > 1e11 ? plain : plain * 1000;
	const clock = /^(\d{1,3}):(\d{2})(?::(\d{2}(?:\.\d+)?))?$/.exec(bare);
	if (clock) return (Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number(clock[3] ?? 0)) * 1000;
	return Date.parse(bare);
}

/** The moment at which the groups stood highest together: the nearest to full. */
export const fullestMoment = (samples: readonly ChargeSample[]): ChargeSample =>
	samples.filter((s) => s.groupsV !== null).reduce((a, b) => (sum(b.groupsV!) > sum(a.groupsV!) ? b : a));

/**
 * Reads a CSV of a charge with a column of time, one of amperes into the battery, and one of volts or millivolts for each group, in order;
 * columns of sums, temperatures and counts are passed over.
 * @throws CoreError `no-columns`, `too-few` saying what is missing
 */
export function parseGroupLog(text: string): GroupLog {
	const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
	const [headers = [], ...lines] = data;
	const time = headers.findIndex((h) => TIME.test(h.trim()));
	const current = headers.findIndex((h, i) => i !== time && CURRENT.test(h.trim()) && !/\bah\b/i.test(h));
	if (time < 0 || current < 0)
		throw new CoreError(
			'no-columns',
			'file',
			`The first line has to name a column of ${time < 0 ? 'time' : 'amperes'}: call it “${time < 0 ? 'time' : 'current'}”.`
		);
	const middle = lines[Math.floor(lines.length / 2)] ?? [];
	const columns = headers.flatMap((header, i) => {
		if (i === time || i === current || NOT_A_GROUP.test(header)) return [];
		const value = numberOf(middle[i]);
		const isGroup = (value > 0.5 && value < MAX_V) || (value > 0.5 * MV && value < MAX_V * MV);
		return isGroup ? [{ header: header.trim(), i, divisor: value > MAX_V ? MV : 1 }] : [];
	});
	if (columns.length < 2)
		throw new CoreError('no-columns', 'file', 'The log has to have the volts of two groups or more, a column each.');
	let passedOver = 0;
	let midnightMs = 0;
	let lastMs = -Infinity;
	const samples = lines.flatMap((line): ChargeSample[] => {
		let atMs = momentOf(line[time]) + midnightMs;
		// A clock that goes back has passed midnight.
		if (atMs < lastMs - 3_600_000 && atMs < 86_400_000 + midnightMs) {
			midnightMs += 86_400_000;
			atMs += 86_400_000;
		}
		const currentA = numberOf(line[current]);
		const groupsV = columns.map((c) => numberOf(line[c.i]) / c.divisor);
		if (![atMs, currentA, ...groupsV].every(Number.isFinite) || atMs < lastMs) {
			passedOver++;
			return [];
		}
		lastMs = atMs;
		return [{ atMs, currentA, groupsV }];
	});
	if (samples.length < MIN_LINES)
		throw new CoreError(
			'too-few',
			'file',
			`The log has ${samples.length} lines that can be read: it takes ${MIN_LINES} or more.`
		);
	return { samples, groups: columns.map((c) => c.header), passedOver };
}
