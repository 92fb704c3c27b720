import Papa from 'papaparse';

/**
 * A value as CSV may carry it without a spreadsheet running it: text that starts like a formula, also after white space, gets
 * a leading apostrophe.
 */
export function safeForSpreadsheet(value: unknown): string | number | boolean | null {
	if (value === null || value === undefined) return null;
	if (typeof value === 'number' || typeof value === 'boolean') return value;
	const text = typeof value === 'string' ? value : JSON.stringify(value);
	return /^\s*[=+\-@]|^[\t\r]/.test(text) ? `'${text}` : text;
}

/** Records as CSV text, header first, columns in the order given. CRLF line ends (RFC 4180). */
export function toCsv(rows: readonly object[], columns: readonly string[]): string {
	const data = rows.map((row) => columns.map((c) => safeForSpreadsheet((row as Record<string, unknown>)[c])));
	return Papa.unparse({ fields: [...columns], data }, { newline: '\r\n' }) + '\r\n';
}
