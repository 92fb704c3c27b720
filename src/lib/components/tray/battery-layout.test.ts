import { describe, expect, it } from 'vitest';
import type { BatteryShape } from '$lib/core/build/box';
import { hardwareFor } from '$lib/core/plan/charging';
import { CELL, batteryLayout, rowChoices } from './battery-layout';

describe('a battery from above', () => {
	it('4S2P: minus of the first group below, bars above and below in turn', () => {
		const { cells, nodes, bars, width } = batteryLayout(4, 2);
		expect(cells).toHaveLength(8);
		expect(cells.filter((c) => c.plusUp).map((c) => c.group)).toEqual([1, 1, 3, 3]);
		expect(nodes.map((n) => n.up)).toEqual([false, true, false, true, false]);
		// From left to right, a group apart.
		expect(nodes.map((n) => n.x)).toEqual([...nodes.map((n) => n.x)].sort((a, b) => a - b));
		expect(bars.filter((b) => b.node === 1)).toHaveLength(3);
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
		const turn = bars.filter((b) => b.node === 8);
		expect(turn).toHaveLength(1);
		expect(turn[0]!.height).toBeLessThan(CELL.height);
		expect(nodes).toHaveLength(17);
	});
	it.each([
		[4, 2],
		[16, 1],
		[8, 2],
		[16, 4]
	])('draws the bars of %sS%sP that the plan counts', (series, parallel) => {
		const { build } = hardwareFor({
			series,
			parallel,
			batteries: 1,
			rows: 1,
			studsPerPole: 1,
			balance: 'together'
		});
		expect(batteryLayout(series, parallel).bars.filter((b) => b.kind === 'bar')).toHaveLength(build.bar!);
	});
	it('lies in the rows that were chosen, which meet end to end', () => {
		expect(rowChoices(16)).toEqual([1, 2, 3, 4, 8]);
		expect(rowChoices(8)).toEqual([1, 2, 4, 8]);
		expect(rowChoices(4)).toEqual([1, 2, 4]);
		expect(rowChoices(1)).toEqual([1]);
		for (const rows of rowChoices(16))
			expect(new Set(batteryLayout(16, 1, { rows }).cells.map((c) => c.y)).size).toBe(rows);
	});
	it.each([
		['front-left', true, true],
		['front-right', false, true],
		['back-left', true, false],
		['back-right', false, false]
	] as const)('lets battery − leave at the %s', (outputsAt, left, front) => {
		const { nodes, width, height } = batteryLayout(4, 1, { outputsAt });
		expect(nodes[0]!.x < width / 2).toBe(left);
		expect(nodes[0]!.y > height / 2).toBe(front);
	});
	it('square blocks: like poles meet in the middle, and straps tie the outer sides', () => {
		const { cells, bars, nodes } = batteryLayout(2, 4, { squareBlocks: true });
		const of = (group: number) => cells.filter((c) => c.group === group);
		expect(new Set(of(1).map((c) => c.x)).size).toBe(2);
		expect(new Set(of(1).map((c) => c.y)).size).toBe(2);
		// Group 1 has its plus in the middle, group 2 its minus.
		const upper = (group: number) => of(group).reduce((a, b) => (b.y < a.y ? b : a));
		expect(upper(1).plusUp).toBe(false);
		expect(upper(2).plusUp).toBe(true);
		expect([0, 1, 2].map((node) => bars.filter((b) => b.node === node).length)).toEqual([3, 1, 3]);
		expect(nodes[1]!.y).toBeGreaterThan(upper(1).y + CELL.height - 1);
	});
	it('square blocks in two rows turn where the outer sides meet', () => {
		const { bars } = batteryLayout(4, 2, { squareBlocks: true, rows: 2 });
		expect(bars.filter((b) => b.node === 2)).toHaveLength(4);
	});
	it.each([
		[1, 1],
		[2, 6],
		[3, 5],
		[20, 2],
		[128, 1]
	])('%sS%sP: nothing lies over another cell or outside', (series, parallel) => {
		for (const shape of [{}, { squareBlocks: true }, { rows: 2 }, { rows: 4, outputsAt: 'back-right' as const }])
			check(series, parallel, shape);
	});
	function check(series: number, parallel: number, shape: BatteryShape) {
		const { cells, width, height } = batteryLayout(series, parallel, shape);
		expect(cells).toHaveLength(series * parallel);
		expect(new Set(cells.map((c) => `${c.x} ${c.y}`)).size).toBe(cells.length);
		for (const c of cells) {
			expect(c.x).toBeGreaterThanOrEqual(0);
			expect(c.x + CELL.width).toBeLessThanOrEqual(width);
			expect(c.y + CELL.height).toBeLessThanOrEqual(height);
		}
	}
});
