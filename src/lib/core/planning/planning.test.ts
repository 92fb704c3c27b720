import { expect, it } from 'vitest';
import { judgePlan, type PlannedCellType } from '.';

const bank = { chemistry: 'LFP' as const, series: 8, parallel: 2, batteries: 1 };
const type: PlannedCellType = {
	name: 'M230',
	chemistry: 'LFP',
	chargeLimitV: 3.65,
	dischargeLimitV: 2.5,
	chargeColdC: 0,
	dischargeColdC: -20,
	chargeCRate: 0.5,
	dischargeCRate: 1
};
const codes = (...args: Parameters<typeof judgePlan>) => judgePlan(...args).map((v) => v.code);

it('is calm about a complete plan', () =>
	expect(judgePlan(bank, type)[0]).toMatchObject({
		code: 'plan-complete',
		finding: '16 cells of M230; full at 29.2 V.'
	}));
it('asks for a cell type', () => expect(codes(bank, null)).toEqual(['no-cell-type']));
it('stops at another chemistry and names defaults', () => {
	expect(codes(bank, { ...type, chemistry: 'NMC', chargeColdC: null })).toEqual([
		'chemistry-mismatch',
		'defaults-used'
	]);
	expect(judgePlan(bank, { ...type, chargeColdC: null })[0]!.finding).toContain('coldest charge');
});
it('warns above 60 V: 16 × 3.65 is 58.4, 17 is 62.05', () => {
	expect(codes({ ...bank, series: 16 }, type)).toEqual(['plan-complete']);
	expect(codes({ ...bank, series: 17 }, type)).toEqual(['touch-voltage']);
});
