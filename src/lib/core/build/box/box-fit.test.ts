import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxArrangements, type BoxFitInput } from '.';

const eight: BoxFitInput = {
	box: { lengthMm: 640, widthMm: 200, heightMm: 260 },
	cell: { widthMm: 174, thicknessMm: 72, heightMm: 207 },
	cells: 8
};

describe('cells in a box', () => {
	it('by hand: eight of 72 mm with seven sheets of 1 mm and two plates of 6 mm are 595 mm', () => {
		const [best] = boxArrangements(eight);
		expect(best).toMatchObject({
			rows: 1,
			columns: 8,
			along: 'length',
			bmsAt: 'elsewhere',
			fits: true,
			takes: { lengthMm: 595, widthMm: 174, heightMm: 242 },
			left: { lengthMm: 45, widthMm: 26, heightMm: 18 }
		});
	});
	it('six millimetres short is said to be six millimetres short', () => {
		const [best] = boxArrangements({ ...eight, box: { ...eight.box, lengthMm: 589 } });
		expect(best).toMatchObject({ fits: false, left: { lengthMm: -6 } });
	});
	it('a BMS stands beside or above, and takes the room there', () => {
		const bms = { lengthMm: 40, widthMm: 180, heightMm: 30 };
		const found = boxArrangements({ ...eight, bms });
		expect(found.find((a) => a.bmsAt === 'beside' && a.fits)!.left.lengthMm).toBe(5);
		expect(found.find((a) => a.bmsAt === 'above' && a.columns === 8 && a.along === 'length')!.left.heightMm).toBe(-12);
	});
	it('BMS and fuse beside stand one behind the other; above, side by side', () => {
		const bms = { lengthMm: 40, widthMm: 130, heightMm: 30 };
		const fuse = { lengthMm: 30, widthMm: 60, heightMm: 40 };
		const found = boxArrangements({ ...eight, bms, fuse }).filter((a) => a.columns === 8 && a.along === 'length');
		const takes = (bmsAt: string, fuseAt: string) => found.find((a) => a.bmsAt === bmsAt && a.fuseAt === fuseAt)!.takes;
		expect(takes('beside', 'beside')).toEqual({ lengthMm: 635, widthMm: 190, heightMm: 242 });
		expect(takes('above', 'above')).toEqual({ lengthMm: 595, widthMm: 174, heightMm: 282 });
		expect(takes('beside', 'above')).toEqual({ lengthMm: 635, widthMm: 174, heightMm: 282 });
	});
	it('a thick cable wants six of its diameters under the lid', () =>
		expect(boxArrangements({ ...eight, cableMm: 16 })[0]!.takes.heightMm).toBe(207 + 96));
	it('finds what trying every grid finds, on small boxes', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 9 }),
				fc.integer({ min: 100, max: 800 }),
				fc.integer({ min: 100, max: 800 }),
				(cells, lengthMm, widthMm) => {
					const input = { ...eight, cells, box: { lengthMm, widthMm, heightMm: 300 } };
					const found = boxArrangements(input).some((a) => a.fits);
					let exists = false;
					for (let rows = 1; rows <= cells; rows++)
						for (let columns = 1; columns <= cells; columns++) {
							if (rows * columns < cells) continue;
							const stack = columns * 72 + (columns - 1) + 12;
							const across = rows * 174 + (rows - 1);
							if ((stack <= lengthMm && across <= widthMm) || (stack <= widthMm && across <= lengthMm)) exists = true;
						}
					expect(found).toBe(exists);
				}
			)
		);
	});
	it('refuses no cells, and a box without a height', () => {
		expect(() => boxArrangements({ ...eight, cells: 0 })).toThrow(/cells/);
		expect(() => boxArrangements({ ...eight, box: { ...eight.box, heightMm: 0 } })).toThrow(/box.heightMm/);
	});
});
