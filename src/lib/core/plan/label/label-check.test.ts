import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRIES, CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { checkLabelFigures, type Label } from '.';

const codes = (label: Label) => checkLabelFigures(label).verdicts.map((v) => v.code);

describe('a label against itself', () => {
	it.each<[Label, { consistent: boolean | null; likelyChemistry: string | null; perCellV: number | null }, string[]]>([
		[
			{ chemistry: 'LFP', series: 4, ratedAh: 280, ratedWh: 3584, nominalV: 12.8, fullV: 14.6 },
			{ consistent: true, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-agrees']
		],
		[
			{ ratedAh: 100, ratedWh: 1280, nominalV: 12 },
			{ consistent: true, likelyChemistry: 'LFP', perCellV: 3 },
			['label-agrees']
		],
		[{ series: 16, nominalV: 48 }, { consistent: true, likelyChemistry: 'LFP', perCellV: 3 }, ['label-agrees']],
		[{ series: 15, nominalV: 48 }, { consistent: true, likelyChemistry: 'LFP', perCellV: 3.2 }, ['label-agrees']],
		[
			{ series: 13, nominalV: 48, fullV: 54.6 },
			{ consistent: true, likelyChemistry: 'NMC', perCellV: 48 / 13 },
			['label-agrees']
		],
		// Another chemistry than the one named.
		[
			{ chemistry: 'LFP', series: 4, fullV: 16.8 },
			{ consistent: false, likelyChemistry: 'NMC', perCellV: 4.2 },
			['label-chemistry']
		],
		[
			{ chemistry: 'LFP', series: 16, nominalV: 59.2 },
			{ consistent: false, likelyChemistry: 'NMC', perCellV: 3.7 },
			['label-chemistry']
		],
		[
			{ chemistry: 'LFP', series: 6, nominalV: 13.8 },
			{ consistent: false, likelyChemistry: 'LTO', perCellV: 2.3 },
			['label-chemistry']
		],
		// Four or sixteen cells of LFP by their charger, or as many of NMC by their nominal volts: named both, claimed nothing.
		[
			{ chemistry: 'LFP', ratedAh: 100, ratedWh: 1460, nominalV: 14.6 },
			{ consistent: true, likelyChemistry: null, perCellV: 3.65 },
			['label-peak']
		],
		[{ chemistry: 'LFP', nominalV: 58.4 }, { consistent: true, likelyChemistry: null, perCellV: 3.65 }, ['label-peak']],
		// Full at 14.6 V, too: only the charger's of LFP is left.
		[
			{ series: 4, nominalV: 14.6, fullV: 14.6 },
			{ consistent: false, likelyChemistry: 'LFP', perCellV: 3.65 },
			['label-peak']
		],
		// Twenty cells: 82 V is no cell's nominal voltage; 74 V is that of NMC, whatever chemistry was named.
		[{ series: 20, nominalV: 82 }, { consistent: false, likelyChemistry: null, perCellV: 4.1 }, ['label-volts']],
		[{ series: 20, nominalV: 74 }, { consistent: true, likelyChemistry: 'NMC', perCellV: 3.7 }, ['label-agrees']],
		[
			{ chemistry: 'LFP', series: 20, nominalV: 74 },
			{ consistent: false, likelyChemistry: 'NMC', perCellV: 3.7 },
			['label-chemistry']
		],
		// Four cells of NMC, or LFP by its charger: a question.
		[{ series: 4, nominalV: 14.6 }, { consistent: true, likelyChemistry: 'NMC', perCellV: 3.65 }, ['label-peak']],
		// Energy.
		[
			{ ratedAh: 200, ratedWh: 1280, nominalV: 12.8 },
			{ consistent: false, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-energy']
		],
		[
			{ ratedAh: 100, ratedWh: 1000 },
			{ consistent: false, likelyChemistry: null, perCellV: null },
			['label-undivided']
		],
		[{ series: 4, nominalV: 20 }, { consistent: false, likelyChemistry: null, perCellV: 5 }, ['label-volts']],
		// Amperes.
		[
			{ ratedWh: 3584, nominalV: 12.8, claimedA: 280 },
			{ consistent: false, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-amps', 'label-ampere-hours']
		],
		[{ claimedA: 280 }, { consistent: null, likelyChemistry: null, perCellV: null }, ['label-amps']],
		[
			{ ratedAh: 100, ratedWh: 1280, nominalV: 12.8, claimedA: 100 },
			{ consistent: true, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-amps']
		],
		[
			{ ratedAh: 280, ratedWh: 3584, nominalV: 12.8, claimedA: 150 },
			{ consistent: true, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-agrees']
		],
		// Nothing to compare.
		[{}, { consistent: null, likelyChemistry: null, perCellV: null }, ['label-alone']],
		[{ ratedAh: 280 }, { consistent: null, likelyChemistry: null, perCellV: null }, ['label-alone']],
		// Rounded to a whole watt-hour: 11.5 Wh.
		[
			{ chemistry: 'LTO', series: 1, ratedAh: 5, ratedWh: 12, nominalV: 2.3 },
			{ consistent: true, likelyChemistry: 'LTO', perCellV: 2.3 },
			['label-agrees']
		],
		// One cell.
		[
			{ series: 1, ratedAh: 280, ratedWh: 896, nominalV: 3.2 },
			{ consistent: true, likelyChemistry: 'LFP', perCellV: 3.2 },
			['label-agrees']
		]
	])('%j', (label, expected, verdicts) => {
		const { perCellV, ...check } = checkLabelFigures(label);
		expect(check).toMatchObject({ consistent: expected.consistent, likelyChemistry: expected.likelyChemistry });
		if (expected.perCellV === null) expect(perCellV).toBeNull();
		else expect(perCellV).toBeCloseTo(expected.perCellV, 6);
		expect(codes(label)).toEqual(verdicts);
	});
	it('7 Ah of 3.65 V written as 3.6 V and 26 Wh is only rounded', () =>
		expect(checkLabelFigures({ chemistry: 'NMC', series: 1, ratedAh: 7, nominalV: 3.6, ratedWh: 26 }).consistent).toBe(
			true
		));
	it('a true label never contradicts itself, whatever its chemistry and size', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...CHEMISTRIES),
				fc.integer({ min: 1, max: 24 }),
				fc.integer({ min: 5, max: 400 }),
				fc.boolean(),
				fc.boolean(),
				(chemistry, series, ratedAh, saysFull, saysEnergy) => {
					const { nominalV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
					const check = checkLabelFigures({
						chemistry,
						series,
						ratedAh,
						nominalV: Number((series * nominalV).toFixed(1)),
						fullV: saysFull ? Number((series * chargeLimitV).toFixed(1)) : null,
						ratedWh: saysEnergy ? Math.round(ratedAh * series * nominalV) : null
					});
					expect(check.consistent).toBe(true);
					expect(check.likelyChemistry).toBe(chemistry);
				}
			),
			{ numRuns: 5000 }
		);
	});
	it.each([
		[{ series: 0 }, /series/],
		[{ ratedAh: -1 }, /ratedAh/],
		[{ chemistry: 'XYZ' as never }, /chemistry/]
	])('refuses %j', (label, message) => expect(() => checkLabelFigures(label)).toThrow(message));
});

describe('energy under other names', () => {
	it('kilowatts with the figure of the kilowatt-hours are asked about', () => {
		const verdict = checkLabelFigures({ ratedAh: 280, nominalV: 51.2, claimedKw: 14.3 }).verdicts.find(
			(v) => v.code === 'label-kilowatts'
		)!;
		// By hand: 280 Ah × 51.2 V = 14.3 kWh.
		expect(verdict.warmth).toBe('look');
		expect(verdict.facts.kwh).toBeCloseTo(14.336, 3);
		expect(codes({ ratedAh: 280, nominalV: 51.2, claimedKw: 5 })).not.toContain('label-kilowatts');
		expect(codes({ claimedKw: 14.3 })).toContain('label-kilowatts');
	});
	it('watt-hours over volts are told in ampere-hours, by the volts the cells work at', () => {
		const ah = (label: Label) =>
			checkLabelFigures(label).verdicts.find((v) => v.code === 'label-ampere-hours')?.facts.ampereHours;
		expect(ah({ ratedWh: 1280, nominalV: 12.8 })).toBeCloseTo(100, 9);
		// 14.6 V is the charger's: four cells of 3.2 V.
		expect(ah({ ratedWh: 1280, nominalV: 14.6, series: 4, chemistry: 'LFP' })).toBeCloseTo(100, 6);
		expect(ah({ ratedWh: 1280, ratedAh: 100, nominalV: 12.8 })).toBeUndefined();
	});
	it('no kilowatts below nought', () => expect(() => checkLabelFigures({ claimedKw: -1 })).toThrow(/claimedKw/));
});
