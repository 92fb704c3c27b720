import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { safeForSpreadsheet, toCsv } from './csv';

describe('CSV that a spreadsheet cannot run', () => {
	it.each(['=cmd()', '+1', '-2+3', '@SUM(A1)', '\t=1'])('quotes %j', (text) =>
		expect(safeForSpreadsheet(text)).toBe(`'${text}`)
	);
	it('leaves numbers, plain text and blanks alone', () => {
		expect([safeForSpreadsheet(-3.2), safeForSpreadsheet('H-01'), safeForSpreadsheet(null)]).toEqual([
			-3.2,
			'H-01',
			null
		]);
	});
	it('survives quotes, commas and line breaks', () => {
		const row = { label: 'a "b", c\nd', value: 3.298 };
		expect(Papa.parse(toCsv([row], ['label', 'value']), { header: true, skipEmptyLines: true }).data).toEqual([
			{ label: 'a "b", c\nd', value: '3.298' }
		]);
	});
});
