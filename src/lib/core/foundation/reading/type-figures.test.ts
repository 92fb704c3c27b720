import { describe, expect, it } from 'vitest';
import { WHOLE_BANK } from '../verdicts';
import { judgeTypeFigures, type SeenOfType } from './type-figures';

const type = (more: object = {}) => ({ ratedAh: 304, acResistanceMohm: 0.18, massKg: 5.5, ...more });
const seen = (mohm: (number | null)[], kg: number | null = null): SeenOfType[] =>
	mohm.map((acResistanceMohm) => ({ acResistanceMohm, massKg: kg }));
const judged = (more: object, cells: SeenOfType[] = []) => judgeTypeFigures('LFP', type(more), cells, WHOLE_BANK);

describe('a figure of the cell type', () => {
	it('of 3.3 mΩ for 304 Ah is asked about before any cell is read, with the slip that would explain it', () => {
		const [verdict] = judged({ acResistanceMohm: 3.3 });
		expect(verdict).toMatchObject({ code: 'type-figure-doubted', warmth: 'look' });
		expect(verdict!.facts.slip).toBeCloseTo(0.33, 9);
		expect(verdict!.next).toContain('0.33');
	});
	it('that such a cell can have is not', () => {
		for (const mohm of [0.13, 0.2, 0.5]) expect(judged({ acResistanceMohm: mohm })).toEqual([]);
		expect(judged({ acResistanceMohm: null })).toEqual([]);
	});
	it('is doubted when all cells disagree with it alike, and not when one does', () => {
		expect(judged({ acResistanceMohm: 0.35 }, seen([0.18, 0.181, 0.179]))).toMatchObject([
			{ facts: { cells: 3, seen: 0.18 } }
		]);
		expect(judged({}, seen([0.18, 0.181, 0.4]))).toEqual([]);
	});
	it('is not doubted by cells that disagree among themselves, or by two', () => {
		expect(judged({ acResistanceMohm: 0.3 }, seen([0.18, 0.25, 0.18]))).toEqual([]);
		expect(judged({ acResistanceMohm: 0.3 }, seen([0.18, 0.18]))).toEqual([]);
	});
	it('a mass that all cells exceed is doubted; lighter cells are not the sheet’s fault', () => {
		expect(judged({ massKg: 4.5 }, seen([null, null, null], 5.4))).toMatchObject([{ facts: { quantity: 'mass' } }]);
		expect(judged({ massKg: 6.5 }, seen([null, null, null], 5.4))).toEqual([]);
	});
	it('other chemistries have less resistance', () =>
		expect(judgeTypeFigures('LTO', type({ ratedAh: 40, acResistanceMohm: 0.2 }), [], WHOLE_BANK)).toEqual([]));
});
