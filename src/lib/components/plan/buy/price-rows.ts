import Papa from 'papaparse';
import { parseNumber } from '$lib/core/foundation/units';

/** A line of a list of prices as it was pasted. */
export interface PriceRow {
	name: string;
	quantity: number;
	unitPrice: number;
	shipping: number;
}

const NAMES = {
	name: ['name', 'what', 'item', 'article', 'part'],
	quantity: ['quantity', 'qty', 'count', 'pieces', 'how many'],
	unitPrice: ['unitprice', 'unit price', 'price', 'each', 'one costs'],
	shipping: ['shipping', 'postage', 'freight']
} as const;
type Column = keyof typeof NAMES;

/** Where each column stands: by a first line that names them, else name, quantity, price, shipping in this order. */
function columnsOf(first: readonly string[]): { at: Record<Column, number>; hasHead: boolean } {
	const heads = first.map((h) => h.trim().toLowerCase());
	const find = (column: Column) => heads.findIndex((h) => NAMES[column].some((n) => h === n));
	const at = {
		name: find('name'),
		quantity: find('quantity'),
		unitPrice: find('unitPrice'),
		shipping: find('shipping')
	};
	const hasHead = at.name >= 0 && at.unitPrice >= 0;
	return { at: hasHead ? at : { name: 0, quantity: 1, unitPrice: 2, shipping: 3 }, hasHead };
}

/** Lines of a table of prices (comma, semicolon or tab), and those that could not be read, by their number from 1. */
export function priceRows(text: string): { rows: PriceRow[]; unread: number[] } {
	const lines = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data;
	if (lines.length === 0) return { rows: [], unread: [] };
	const { at, hasHead } = columnsOf(lines[0]!);
	const rows: PriceRow[] = [];
	const unread: number[] = [];
	lines.slice(hasHead ? 1 : 0).forEach((line, i) => {
		const number = (column: Column, usual: number) => {
			const cell = at[column] < 0 ? '' : (line[at[column]] ?? '');
			// A currency sign is no part of the number; other letters are no number at all.
			return parseNumber(cell.replace(/[€$£¥]|\b(eur|usd|gbp|chf)\b/gi, '')) ?? usual;
		};
		const row = {
			name: (line[at.name] ?? '').trim(),
			quantity: number('quantity', 1),
			unitPrice: number('unitPrice', NaN),
			shipping: number('shipping', 0)
		};
		const isRead =
			row.name !== '' && [row.quantity, row.unitPrice, row.shipping].every((v) => Number.isFinite(v) && v >= 0);
		if (isRead) rows.push(row);
		else unread.push(i + (hasHead ? 2 : 1));
	});
	return { rows, unread };
}
