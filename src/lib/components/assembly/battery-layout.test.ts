import { describe, expect, it } from 'vitest';
import { CELL, batteryLayout } from './battery-layout';

describe('a battery from above', () => {
	it('4S2P: minus of the first group below, bars above and below in turn', () => {
		const { cells, nodes, bars, width } = batteryLayout(4, 2);
		expect(cells).toHaveLength(8);
		expect(cells.filter((c) => c.plusUp).map((c) => c.group)).toEqual([1, 1, 3, 3]);
		expect(nodes.map((n) => n.up)).toEqual([false, true, false, true, false]);
		// From left to right, a group apart.
		expect(nodes.map((n) => n.x)).toEqual([...nodes.map((n) => n.x)].sort((a, b) => a - b));
		expect(bars[0]!.width).toBeCloseTo(2 * CELL.width + CELL.gap - 12, 9);
		expect(bars[1]!.width).toBeGreaterThan(2 * bars[0]!.width);
		expect(Math.max(...cells.map((c) => c.x + CELL.width))).toBeLessThan(width);
	});
	it('16S: the second row runs back, and the bar between the rows joins group 8 and 9', () => {
		const { cells, nodes, bars } = batteryLayout(16, 1);
		const at = (group: number) => cells.find((c) => c.group === group)!;
		expect(at(8).x).toBe(at(9).x);
		expect(at(9).y).toBeGreaterThan(at(8).y);
		expect(at(16).x).toBe(at(1).x);
		// Plus of 8 below, minus of 9 above: one short link.
		expect(at(8).plusUp).toBe(false);
		expect(at(9).plusUp).toBe(false);
		expect(bars[8]!.height).toBeLessThan(CELL.height);
		expect(nodes).toHaveLength(17);
	});
	it('has fewer cells a row on a hand-held screen, so that names stay readable', () => {
		expect(batteryLayout(16, 1, true).width).toBeLessThan(batteryLayout(16, 1).width / 1.8);
		expect(new Set(batteryLayout(8, 2, true).cells.map((c) => c.y)).size).toBe(4);
	});
	it.each([
		[1, 1],
		[2, 6],
		[3, 5],
		[20, 2],
		[128, 1]
	])('%sS%sP: nothing lies over another cell or outside', (series, parallel) => {
		const { cells, width, height } = batteryLayout(series, parallel);
		expect(cells).toHaveLength(series * parallel);
		expect(new Set(cells.map((c) => `${c.x} ${c.y}`)).size).toBe(cells.length);
		for (const c of cells) {
			expect(c.x).toBeGreaterThanOrEqual(0);
			expect(c.x + CELL.width).toBeLessThanOrEqual(width);
			expect(c.y + CELL.height).toBeLessThanOrEqual(height);
		}
	});
});
