import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../foundation/statistics';
import { codesToCells, inTrayOrder, sortCodes } from '.';

const crate = (columns: number, rows: number, wobble: number, seed: number) => {
	const random = seededRandom(seed);
	return Array.from({ length: columns * rows }, (_, i) => ({
		text: `code ${i}`,
		x: 100 + 120 * (i % columns) + wobble * (2 * random() - 1),
		y: 80 + 120 * Math.floor(i / columns) + wobble * (2 * random() - 1)
	}));
};
const texts = (list: readonly { text: string }[]) => list.map((c) => c.text);

describe('codes of a crate', () => {
	it('come in the order of the tray, however they were found and however crooked they lie', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 6 }),
				fc.integer({ min: 1, max: 5 }),
				fc.integer({ min: 1, max: 1e6 }),
				(columns, rows, seed) => {
					const right = crate(columns, rows, 22, seed);
					const found = [...right].sort((a, b) => ((a.x * 7919 + a.y) % 97) - ((b.x * 7919 + b.y) % 97));
					expect(texts(inTrayOrder(found))).toEqual(texts(right));
				}
			)
		);
	});
	it('are told from our own labels, which name a cell, and from what no cell carries', () => {
		const at = (text: string) => ({ text, x: 0, y: 0 });
		const own = 'http://bench.example:5000/cells/17';
		expect(
			sortCodes([at(own), at('A1'), at(own), at('x'.repeat(61)), at('https://shop.example/cells/17/buy')])
		).toEqual({
			codes: [at('A1'), at('https://shop.example/cells/17/buy')],
			ownCellIds: [17],
			tooLong: 1
		});
	});
	it('one read twice is one', () => {
		const [a, b] = crate(2, 1, 0, 1);
		expect(inTrayOrder([a!, b!, a!])).toHaveLength(2);
	});
	it('go to the cells from the one begun with, and what is left over is counted', () => {
		const cells = [1, 2, 3].map((id) => ({ id, label: `H-0${id}` }));
		expect(codesToCells(crate(2, 1, 0, 1), cells, 2)).toEqual({
			placed: [
				{ cellId: 2, label: 'H-02', text: 'code 0' },
				{ cellId: 3, label: 'H-03', text: 'code 1' }
			],
			left: 0,
			without: 0
		});
		expect(codesToCells(crate(2, 2, 0, 1), cells, null)).toMatchObject({ left: 1, without: 0 });
		expect(codesToCells([], cells, null)).toEqual({ placed: [], left: 0, without: 3 });
	});
	it('refuses a place that is no number', () =>
		expect(() =>
			inTrayOrder([
				{ text: 'a', x: NaN, y: 0 },
				{ text: 'b', x: 0, y: 0 }
			])
		).toThrow(/finite/));
});
