import Papa from 'papaparse';
import { CoreError } from '../../foundation/errors';
import { median } from '../../foundation/statistics';
import { delimiterOf } from './delimiter';
import { clockSeconds, dateTimeSeconds, needsMonthFirst, timeStyleOf, type TimeStyle } from './log-clock';
import { findColumns, type LogColumns } from './log-columns';
import type { FaultCode, LogFault } from '../../picture';
import { inOrder, type WrittenSamples } from './log-order';

export interface ParsedLog {
	/** Seconds from the first sample, volts, amperes as written (sign not yet judged); same length, time strictly rising. */
	timeS: Float64Array;
	voltageV: Float64Array;
	currentA: Float64Array;
	/** File line of each sample, from 1. */
	rows: Uint32Array;
	/** First sample by the log's own date, ms since 1970 as if it were written in UTC; null where it tells no date. */
	startedMs: number | null;
	/** What a clock that was set back leaves open of the charge, Ah, one sd. */
	clockDoubtAh: number;
	columns: LogColumns;
	faults: LogFault[];
}

/** Header lines are looked for this far down; instruments write a preamble. */
const HEADER_SEARCH_ROWS = 60;
/** A cell's voltage above this must be millivolts; a discharge of more amperes than this is taken for milliamperes. */
const MAX_CELL_V = 100;
const MAX_CELL_A = 1500;
/** Numbers from here on in an unlabelled time column count milliseconds since 1970 (this is March 1973). */
const EPOCH_MS = 1e11;
/** Faults of one kind listed by row before the rest are counted. */
const MAX_LISTED = 5;

/**
 * Reads the text of a capacity-run log: CSV with comma, semicolon, tab or bar, decimal point or comma, BOM,
 * preamble, header in the usual spellings, time as seconds, clock or date. Duplicate, backward and unreadable
 * rows are left out and named.
 * @throws CoreError `log-empty`, `log-header`, `log-time`, `log-short`
 */
export function parseLog(text: string): ParsedLog {
	const body = text.replace(/^\uFEFF/, '');
	if (body.trim() === '')
		throw new CoreError('log-empty', 'body', 'The log is empty. Send the CSV text with time, voltage and current.');
	const rows = Papa.parse<string[]>(body, {
		delimitersToGuess: [';', '\t', ',', '|'],
		delimiter: delimiterOf(body),
		skipEmptyLines: false
	}).data;
	const headerRow = rows.slice(0, HEADER_SEARCH_ROWS).findIndex((row) => findColumns(row) !== null);
	if (headerRow < 0)
		throw new CoreError(
			'log-header',
			'body',
			`No header with time, voltage and current found in the first ${HEADER_SEARCH_ROWS} lines. Name the columns, for example "time_s,voltage_V,current_A".`
		);
	const columns = findColumns(rows[headerRow]!)!;
	const faults: LogFault[] = [];
	const samples = collectSamples(rows, headerRow, columns, faults);
	guessUnits(samples, columns, faults);
	return { ...samples, columns, faults };
}

function numberOf(text: string | undefined): number {
	if (text === undefined || text === '') return NaN;
	const direct = +text;
	if (direct === direct) return direct;
	const trimmed = text.trim().replace(/\s*[a-z]+$/i, '');
	return trimmed === '' ? NaN : Number(trimmed.replace(',', '.').replace('−', '-'));
}

function timeReader(
	rows: readonly string[][],
	headerRow: number,
	columns: LogColumns
): { style: TimeStyle; read: (text: string) => number; isDated: boolean } {
	const texts: string[] = [];
	for (let i = headerRow + 1; i < rows.length && texts.length < 400; i++)
		if (rows[i]!.length > columns.time.index) texts.push(rows[i]![columns.time.index]!);
	const style = texts.map(timeStyleOf).find((s) => s !== null);
	if (!style)
		throw new CoreError(
			'log-time',
			'body',
			`Column "${columns.time.header}" is not a time that can be read. Use seconds, h:mm:ss or 2026-03-09 14:05:00.`
		);
	if (style === 'number') {
		const epochMs = !columns.time.unitStated && texts.every((t) => !(numberOf(t) < EPOCH_MS));
		const factor = epochMs ? 0.001 : columns.time.factor;
		return { style, read: (text) => numberOf(text) * factor, isDated: epochMs };
	}
	if (style === 'clock') return { style, read: clockSeconds, isDated: false };
	const monthFirst = needsMonthFirst(rows.slice(headerRow + 1).map((row) => row[columns.time.index] ?? ''));
	return { style, read: (text) => dateTimeSeconds(text, monthFirst), isDated: true };
}

class FaultTally {
	private counts = new Map<FaultCode, number>();
	constructor(private readonly faults: LogFault[]) {}
	add(code: FaultCode, row: number, message: string) {
		const count = (this.counts.get(code) ?? 0) + 1;
		this.counts.set(code, count);
		if (count <= MAX_LISTED) this.faults.push({ code, message, row });
	}
	close() {
		for (const [code, count] of this.counts)
			if (count > MAX_LISTED)
				this.faults.push({ code, message: `${count - MAX_LISTED} more rows like this.`, row: null });
	}
}

function collectSamples(rows: readonly string[][], headerRow: number, columns: LogColumns, faults: LogFault[]) {
	const { style, read, isDated } = timeReader(rows, headerRow, columns);
	const written: WrittenSamples = { timeS: [], voltageV: [], currentA: [], rows: [] };
	const tally = new FaultTally(faults);
	let [midnightS, previousS] = [0, -Infinity];
	for (let i = headerRow + 1; i < rows.length; i++) {
		const row = rows[i];
		if (row!.length === 1 && row![0]!.trim() === '') continue;
		let t = read(row![columns.time.index] ?? '') + midnightS;
		const v = numberOf(row![columns.voltage.index]) * columns.voltage.factor;
		const a = numberOf(row![columns.current.index]) * columns.current.factor;
		if (!(Number.isFinite(t) && Number.isFinite(v) && Number.isFinite(a))) {
			tally.add('unreadable-row', i + 1, `Line ${i + 1} has no readable time, voltage and current; left out.`);
			continue;
		}
		if (style === 'clock' && t < previousS - 43200) {
			midnightS += 86400;
			t += 86400;
			tally.add('midnight', i + 1, `The clock passes midnight at line ${i + 1}; counted as the next day.`);
		}
		previousS = t;
		written.timeS.push(t);
		written.voltageV.push(v);
		written.currentA.push(a);
		written.rows.push(i + 1);
	}
	const kept = inOrder(written, (code, row, message) => tally.add(code, row, message));
	const count = kept.timeS.length;
	faults.sort((a, b) => (a.row ?? Infinity) - (b.row ?? Infinity));
	tally.close();
	if (count < 2)
		throw new CoreError(
			'log-short',
			'body',
			`A log needs two readable samples or more, got ${count}. Check the columns "${columns.voltage.header}" and "${columns.current.header}".`
		);
	const startS = kept.timeS[0]!;
	return {
		timeS: Float64Array.from(kept.timeS, (t) => t - startS),
		voltageV: Float64Array.from(kept.voltageV),
		currentA: Float64Array.from(kept.currentA),
		rows: Uint32Array.from(kept.rows),
		startedMs: isDated ? startS * 1000 : null,
		clockDoubtAh: kept.doubtAh
	};
}

/** Scales volts and amperes in place of an unstated unit, and says so. The arrays are this module's own. */
function guessUnits(
	samples: { voltageV: Float64Array; currentA: Float64Array },
	columns: LogColumns,
	faults: LogFault[]
) {
	const scale = (values: Float64Array, column: 'voltage' | 'current', most: number, small: string, whole: string) => {
		if (columns[column].unitStated) return;
		const sizes = Array.from(values, Math.abs).filter((v) => v > 0);
		const milli = (median(sizes) ?? 0) > most;
		columns[column].unit = milli ? small : whole;
		columns[column].factor = milli ? 0.001 : 1;
		if (milli) for (let i = 0; i < values.length; i++) values[i]! *= 0.001;
		faults.push({
			code: 'unit-guessed',
			message: `Column "${columns[column].header}" names no unit; taken as ${milli ? small : whole} from the size of its values.`,
			row: null
		});
	};
	scale(samples.voltageV, 'voltage', MAX_CELL_V, 'mV', 'V');
	scale(samples.currentA, 'current', MAX_CELL_A, 'mA', 'A');
}
