import { CoreError } from '../errors';
import { QUANTITY_FIGURES, type Quantity } from './quantity';

export interface ParsedReading {
	/** In the quantity's own unit (V, mΩ, °C, kg). */
	value: number;
	/** What was typed, and the unit it was taken to be in. */
	rawText: string;
	rawUnit: string;
}

const NUMBER_AND_UNIT = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?)\s*(.*)$/i;

/**
 * A typed or pasted reading: decimal point or comma, with or without a unit (`3,298`, `3298 mV`, `0.18 mΩ`).
 * @throws CoreError `reading-format` when it is not a number, `reading-unit` when the unit is not one of the quantity's
 */
export function parseReading(text: string, quantity: Quantity): ParsedReading {
	const rawText = text.trim();
	const match = NUMBER_AND_UNIT.exec(rawText.replace('−', '-'));
	if (!match)
		throw new CoreError(
			'reading-format',
			'value',
			`A ${QUANTITY_FIGURES[quantity].label} is a number like 3.298, got "${rawText}"`
		);
	const number = Number(match[1]!.replace(',', '.'));
	// Micro comes as two different characters, ohm as two; fold them to one each.
	const unit = match[2]!.trim().toLowerCase().replace(/[µμ]/g, 'u').replace('\u2126', 'ω');
	if (quantity === 'temperature' && /^°?f$/.test(unit))
		return { value: ((number - 32) * 5) / 9, rawText, rawUnit: '°F' };
	if (unit === '') return { value: number, rawText, rawUnit: QUANTITY_FIGURES[quantity].unit };
	const factor = QUANTITY_FIGURES[quantity].factors[unit];
	if (factor === undefined)
		throw new CoreError(
			'reading-unit',
			'value',
			`A ${QUANTITY_FIGURES[quantity].label} is in ${QUANTITY_FIGURES[quantity].unit}, got "${match[2]!.trim()}"`
		);
	return { value: number * factor, rawText, rawUnit: match[2]!.trim() };
}

/**
 * What was pasted from a spreadsheet, in order: a column (first cell of each line), or a single row, its cells apart by tabs, semicolons
 * or blanks. Blank cells are `null`, trailing ones dropped.
 */
export function splitPasted(text: string): (string | null)[] {
	const line = text.replace(/\r?\n$/, '');
	if (line.includes('\n')) return splitPastedColumn(text);
	const cells = (/[\t;]/.test(line) ? line.split(/[\t;]/) : line.trim().split(/\s+/)).map(
		(cell) => cell.trim() || null
	);
	while (cells.length && cells[cells.length - 1] === null) cells.pop();
	return cells;
}

/** The cells of a pasted spreadsheet column in order: first column of each line, blank lines kept as `null`. Trailing blanks dropped. */
export function splitPastedColumn(text: string): (string | null)[] {
	const lines = text
		.replace(/\r/g, '')
		.split('\n')
		.map((line) => line.split('\t')[0]!.trim() || null);
	while (lines.length && lines[lines.length - 1] === null) lines.pop();
	return lines;
}
