import { group } from 'd3-array';
import Papa from 'papaparse';
import { delimiterOf } from './delimiter';
import { findColumns } from './log-columns';

/** The log of one cell out of a file that holds several. */
export interface LogChannel {
	/** As the file names it: `3`, `H-07`. */
	name: string;
	/** CSV text with a header, as `parseLog` reads it. */
	text: string;
}

const HEADER_SEARCH_ROWS = 60;
/** A column that says which cell a row is of. */
const WHICH = /^(channel|chan|ch|cell|slot|bay|port|kanal)( ?(no|nr|id|name|number|#))?\.?$/i;
/** More kinds of a row than this are not cells. */
const MAX_CHANNELS = 256;

const plain = (header: string) => header.trim().replace(/[_#]+/g, ' ').trim();
/** The number of a channel in a header, and the header without it: `CH2 Voltage (V)` → 2. */
function numbered(header: string): { n: number; rest: string } | null {
	const found = /^(.*?)(?:\b(?:ch|channel|cell|slot|bay|port|kanal)\s*)?(\d{1,3})(?!\d)(.*)$/i.exec(plain(header));
	return found ? { n: Number(found[2]), rest: `${found[1]} ${found[3]}`.trim() } : null;
}

/**
 * The logs of single cells in a file of several: rows told apart by a column (`channel`, `cell`, `slot` …), or a voltage and a current of each
 * beside each other under numbered headers (`V1, I1, V2, I2`, `CH1 Voltage`). A file of one cell gives one, as it is.
 */
export function splitChannels(text: string): LogChannel[] {
	const body = text.replace(/^\uFEFF/, '');
	const delimiter = delimiterOf(body);
	const { data: rows } = Papa.parse<string[]>(body, { delimiter, skipEmptyLines: true });
	const write = (header: readonly string[], own: readonly string[][]) =>
		Papa.unparse([[...header], ...own], { delimiter, newline: '\n' });
	for (const [at, header] of rows.slice(0, HEADER_SEARCH_ROWS).entries()) {
		const which = header.findIndex((h) => WHICH.test(plain(h)));
		if (which >= 0 && findColumns(header)) {
			const kinds = group(rows.slice(at + 1), (row) => (row[which] ?? '').trim());
			kinds.delete('');
			if (kinds.size < 2 || kinds.size > MAX_CHANNELS) break;
			return [...kinds].map(([name, own]) => ({ name, text: write(header, own) }));
		}
		const wide = wideChannels(header);
		if (wide.length > 1)
			return wide.map(({ n, columns, titles }) => ({
				name: String(n),
				text: write(
					titles,
					rows.slice(at + 1).map((row) => columns.map((i) => row[i] ?? ''))
				)
			}));
		if (findColumns(header)) break;
	}
	return [{ name: '', text: body }];
}

/** Columns of each numbered cell beside those that all share; only numbers that have a voltage and a current. */
function wideChannels(header: readonly string[]): { n: number; columns: number[]; titles: string[] }[] {
	const parts = header.map((h) => numbered(h));
	const shared = header.flatMap((_, i) => (parts[i] ? [] : [i]));
	const numbers = [...new Set(parts.flatMap((p) => p?.n ?? []))].sort((a, b) => a - b);
	return numbers.flatMap((n) => {
		const own = header.flatMap((_, i) => (parts[i]?.n === n ? [i] : []));
		const columns = [...shared, ...own];
		const titles = columns.map((i) => parts[i]?.rest ?? header[i]!);
		return findColumns(titles) ? [{ n, columns, titles }] : [];
	});
}
