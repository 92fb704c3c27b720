import { CoreError } from '../errors';
import { parseReading, splitPasted } from './parse-reading';
import type { Quantity } from './quantity';

export interface PastedLine {
	/** As it was pasted; null: a blank line, which leaves its cell as it is. */
	text: string | null;
	/** In the unit of the quantity; null: blank, or no number. */
	value: number | null;
	/** Why it is no reading; null where it is one, or blank. */
	why: string | null;
}

export interface PastedColumn {
	/** Lines before the first number that are none themselves: the head of a column. */
	header: string[];
	/** What follows, in order. */
	lines: PastedLine[];
}

/**
 * A pasted column or row, its head apart from its values. A head is taken as one only where a number follows it; a word further down is
 * a line of its own, so that the values below keep their places.
 * @param text as it came from the clipboard
 * @param asRead how a line is read where it bears no unit; as it stands when missing
 */
export function readPasted(text: string, quantity: Quantity, asRead = (line: string) => line): PastedColumn {
	const lines = splitPasted(text).map((line): PastedLine => {
		if (line === null) return { text: null, value: null, why: null };
		try {
			return { text: line, value: parseReading(asRead(line), quantity).value, why: null };
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			return { text: line, value: null, why: error.message };
		}
	});
	const first = lines.findIndex((line) => line.value !== null);
	const hasHead = first > 0 && lines.slice(0, first).some((line) => line.text !== null);
	return {
		header: hasHead ? lines.slice(0, first).flatMap((line) => line.text ?? []) : [],
		lines: hasHead ? lines.slice(first) : lines
	};
}
