import { describe, expect, it } from 'vitest';
import { cellOfFileName } from '.';
import { medianCurve } from '../capacity';

const cells = ['H-01', 'H-07', 'H-1', 'D-10', 'D-1'].map((label) => ({ label }));

describe('whose log it is', () => {
	it.each([
		['H-07.csv', 'H-07'],
		['run h07 second try.csv', 'H-07'],
		['2026-11-20_H_01.txt', 'H-01'],
		['D-10.csv', 'D-10'],
		['D-1.csv', 'D-1'],
		['channel 3.csv', null],
		['H-07 and H-01.csv', null],
		['H-071.csv', null]
	])('%s → %s', (name, label) => expect(cellOfFileName(name, cells)?.label ?? null).toBe(label));
});

describe('the middle of several curves', () => {
	const line = (from: number, to: number, ah: number) => ({ voltageV: [from, to], dischargedAh: [0, ah] });
	it('by hand: of three straight lines it is the middle one, as far as half of them go', () => {
		const { voltageV, dischargedAh } = medianCurve([line(3.4, 3, 100), line(3.3, 2.9, 100), line(3.2, 2.8, 50)], 3);
		expect(dischargedAh).toEqual([0, 50, 100]);
		expect(voltageV[0]).toBeCloseTo(3.3, 9);
		// At 50 Ah: 3.2, 3.1 and 2.8.
		expect(voltageV[1]).toBeCloseTo(3.1, 9);
		expect(voltageV[2]).toBeCloseTo(2.95, 9);
	});
	it('of none is none', () => expect(medianCurve([]).voltageV).toEqual([]));
});
