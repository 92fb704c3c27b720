import { describe, expect, it } from 'vitest';
import { bankLayout, layoutText, type SizedBattery } from '.';

const built: SizedBattery = {
	kind: 'built',
	joins: 'parallel',
	series: 16,
	parallel: 1,
	ratedAh: null,
	ratedWh: null,
	nominalV: null
};
const readyMade: SizedBattery = { ...built, kind: 'ready-made', ratedAh: 100, nominalV: 51.2 };

describe('a ready-made battery beside a built one', () => {
	it('brings its own Ah and energy, and no cell', () =>
		expect(bankLayout([built, readyMade])).toEqual({
			built: 1,
			cells: 16,
			readyMade: 1,
			besideAh: 100,
			besideWh: 5120,
			unrated: 0
		}));
	it('without its maker’s figures counts as unknown', () =>
		expect(bankLayout([built, { ...readyMade, ratedAh: null }])).toMatchObject({
			besideAh: 0,
			besideWh: 0,
			unrated: 1
		}));
	it('in series adds volts, not ampere-hours', () =>
		expect(bankLayout([readyMade, { ...readyMade, joins: 'series' }])).toMatchObject({ cells: 0, besideAh: 100 }));
	it.each([
		[1, 0, '16S1P'],
		[2, 0, '16S1P × 2'],
		[1, 1, '16S1P + 1 ready-made'],
		[0, 2, '2 ready-made']
	])('%s built and %s ready-made are told as %s', (own, beside, text) =>
		expect(layoutText(16, 1, own, beside)).toBe(text)
	);
});
