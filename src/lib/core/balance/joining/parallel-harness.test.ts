import { describe, expect, it } from 'vitest';
import { parallelHarness } from '.';

const inSeries = (n: number) => Array.from({ length: n }, (_, i) => ({ label: `C-${i + 1}`, plusUp: i % 2 === 0 }));

describe('a parallel harness on cells in their series order', () => {
	it('four cells: two lie against their bus, with two leads each across them', () => {
		const harness = parallelHarness({ cells: inSeries(4), poleMm: 120, pitchMm: 73 });
		expect(harness.leads).toHaveLength(8);
		expect(harness.leads.filter((l) => l.crosses).map((l) => l.label)).toEqual(['C-2', 'C-2', 'C-4', 'C-4']);
		expect(harness.leads.map((l) => l.lengthMm)).toEqual([60, 60, 180, 180, 60, 60, 180, 180]);
		// Eight leads of 960 mm, two buses of 3 × 73 mm.
		expect(harness).toMatchObject({ crossings: 4, busMm: 219, wireMm: 960 + 438 });
	});
	it('cells that lie all the same way have nothing that crosses', () => {
		const cells = inSeries(3).map((c) => ({ ...c, plusUp: true }));
		expect(parallelHarness({ cells, poleMm: 120, pitchMm: 73, spareMm: 0 })).toMatchObject({
			crossings: 0,
			wireMm: 292
		});
	});
	it('refuses what is no row', () => {
		expect(() => parallelHarness({ cells: inSeries(1), poleMm: 120, pitchMm: 73 })).toThrow(/two or more/);
		expect(() => parallelHarness({ cells: inSeries(2), poleMm: 0, pitchMm: 73 })).toThrow(/poleMm/);
	});
});
