import { describe, expect, it } from 'vitest';
import { notOfAClass, seriesFor } from '../loads';

describe('cells in series and the class of what hangs on them', () => {
	it.each([
		[12, 'LFP', 4],
		[24, 'LFP', 8],
		[48, 'LFP', 16],
		[48, 'NMC', 14],
		[12, 'LTO', 6]
	] as const)('%d V of %s are %d in series', (classV, chemistry, series) =>
		expect(seriesFor(classV, chemistry)).toBe(series)
	);
	it('three LFP cells are of none: four make 12 V', () =>
		expect(notOfAClass(3, 'LFP')).toEqual({ classV: 12, series: 4 }));
	it('15 and 16 are 48 V, one cell stands for itself', () => {
		for (const series of [1, 4, 8, 15, 16]) expect(notOfAClass(series, 'LFP')).toBeNull();
		expect(notOfAClass(12, 'LFP')).toMatchObject({ series: 16 });
	});
});
