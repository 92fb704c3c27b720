import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCellCode } from '.';

/** Maker 0HK, cell, LFP, model 73, trace A12B34C; then the date and the serial. */
const withDate = (date: string, product = 'C', chemistry = 'B') => `0HK${product}${chemistry}73A12B34C${date}0001234`;

describe('a cell’s code', () => {
	it('by hand: E3A is the tenth of March 2024', () => {
		expect(readCellCode(withDate('E3A'))).toEqual({
			fields: {
				maker: '0HK',
				product: 'C',
				chemistryLetter: 'B',
				model: '73',
				trace: 'A12B34C',
				year: 2024,
				month: 3,
				day: 10,
				serial: '0001234'
			},
			productionDate: '2024-03-10',
			chemistry: 'LFP',
			warnings: []
		});
	});
	it.each([
		['811', '2018-01-01'],
		['9C0', '2019-12-31'],
		['AA9', '2020-10-09'],
		['H1H', '2027-01-17'],
		['J1J', '2028-01-18'],
		['N1N', '2032-01-22'],
		['P1P', '2033-01-23'],
		['T1T', '2036-01-26'],
		['V1V', '2037-01-27'],
		['Y1Y', '2040-01-30'],
		['E2S', '2024-02-25'],
		['E2X', '2024-02-29'],
		['D2W', '2023-02-28'],
		['D2X', null],
		['E40', null],
		['E30', '2024-03-31'],
		['E31', '2024-03-01']
	])('%s → %s', (date, expected) => expect(readCellCode(withDate(date)).productionDate).toBe(expected));
	it('letters that look like digits are named with what they may be', () => {
		for (const [date, hint] of [
			['O11', 'is it 0'],
			['EI1', 'is it 1'],
			['E1Q', 'is it 0'],
			['U11', 'is it V']
		] as const) {
			const { productionDate, warnings } = readCellCode(withDate(date));
			expect(productionDate).toBeNull();
			expect(warnings).toEqual([{ code: 'date', message: expect.stringContaining(hint) }]);
		}
	});
	it.each([
		[withDate('E11', 'P'), ['not-a-cell']],
		[withDate('E11', 'C', 'E'), []],
		[withDate('E11', 'C', 'G'), []],
		[withDate('E11', 'C', 'A'), ['chemistry']],
		[withDate('E11', 'C', 'Z'), ['chemistry']],
		[withDate('411'), ['before-the-rule']],
		[withDate('T11'), ['in-the-future']],
		['0HKCB73', ['length']],
		[`${withDate('E11').slice(0, 23)}*`, ['character']]
	])('%s warns of %j', (code, warnings) =>
		expect(readCellCode(code, '2026-11-26').warnings.map((w) => w.code)).toEqual(warnings)
	);
	it('spaces, dashes and small letters are as good', () =>
		expect(readCellCode(' 0hk-cb73 a12b34c e3a 0001234 ').productionDate).toBe('2024-03-10'));
	it('whatever is typed is answered or refused by name, never anything else', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 40 }), (typed) => {
				try {
					const read = readCellCode(typed, '2026-11-26');
					expect(read.productionDate === null || /^20[1-4]\d-\d\d-\d\d$/.test(read.productionDate)).toBe(true);
				} catch (error) {
					expect((error as { code: string }).code).toBe('empty');
				}
			})
		);
	});
	it('refuses nothing, and a whole crate at once', () => {
		expect(() => readCellCode('  - ')).toThrow(/code requires/);
		expect(() => readCellCode('A'.repeat(201))).toThrow(/at most 200/);
	});
});
