import type { BatteryShape } from '$lib/core/build/box';
import type { OutputCorner } from '$lib/core/picture';

/** A battery of S groups of P cells from above, in rows that turn at their ends. Units of the drawing. */
export interface BatteryLayout {
	width: number;
	height: number;
	/** In the order of groups, then of cells within a group. */
	cells: { group: number; x: number; y: number; /** Its plus is at the upper end. */ plusUp: boolean }[];
	/** Where node k (0: battery negative … S: battery positive) sits, and the bar that carries it. */
	nodes: { x: number; y: number; /** At the upper end of its row. */ up: boolean }[];
	/**
	 * What carries each node, in the order of nodes: bars of two holes from pole to pole; a lug where a single cell begins or ends the
	 * battery; of square blocks plates, and a strap that ties their two sides.
	 */
	bars: {
		node: number;
		kind: 'bar' | 'lug' | 'plate' | 'strap';
		x: number;
		y: number;
		width: number;
		height: number;
	}[];
}

export const CELL = { width: 46, height: 104, gap: 4, groupGap: 14 };
const BAR = 12;
const STRAP = 7;
/** Of a bar beyond the middle of a pole. */
const OVER = 9;
const INSET = 6;
const MARGIN = { x: 10, y: 18 };
const ROW_GAP = 48;
/** Between the two cells of a square block. */
const MIDDLE_GAP = 6;
/** More in a row make names too small to read. */
const MAX_GROUPS_A_ROW = 8;
const MAX_CELLS_A_ROW = 12;

interface Pole {
	x: number;
	y: number;
}

/** Even where there are more rows than one, so that a row ends on the side where the next begins. */
function groupsARow(series: number, across: number, rows: number | null): number {
	const fitting =
		rows === null
			? Math.min(series, MAX_GROUPS_A_ROW, Math.max(1, Math.floor(MAX_CELLS_A_ROW / across)))
			: Math.ceil(series / Math.min(rows, series));
	return fitting < series && fitting > 1 ? fitting + (rows === null ? -(fitting % 2) : fitting % 2) : fitting;
}

/** In how many rows a battery of S groups can lie so that its rows meet end to end. */
export function rowChoices(series: number): number[] {
	const choices = Array.from({ length: Math.min(series, 8) }, (_, i) => i + 1).filter((rows) => {
		const perRow = groupsARow(series, 1, rows);
		return Math.ceil(series / perRow) === rows;
	});
	return choices;
}

/** @param series groups, from 1; @param parallel cells a group, from 1 */
export function batteryLayout(series: number, parallel: number, shape: BatteryShape = {}): BatteryLayout {
	const square = shape.squareBlocks === true && parallel > 1;
	const across = square ? Math.ceil(parallel / 2) : parallel;
	const perRow = groupsARow(series, across, shape.rows ?? null);
	const groupWidth = across * CELL.width + (across - 1) * CELL.gap;
	const groupHeight = square ? 2 * CELL.height + MIDDLE_GAP : CELL.height;
	const pitch = groupWidth + CELL.groupGap;
	const rowHeight = groupHeight + ROW_GAP;
	const rowOf = (group: number) => Math.floor((group - 1) / perRow);
	/** Left edge of a group; every other row runs back. */
	const leftOf = (group: number) => {
		const inRow = (group - 1) % perRow;
		return MARGIN.x + (rowOf(group) % 2 ? perRow - 1 - inRow : inRow) * pitch;
	};
	const topOf = (group: number) => MARGIN.y + rowOf(group) * rowHeight;
	const middleOf = (group: number) => leftOf(group) + groupWidth / 2;
	/** Whether a node is at the upper end of the cells of a group in line; of square blocks, odd nodes lie in their middle. */
	const isUp = (node: number, group: number) => !square && (node + rowOf(group)) % 2 === 1;
	const isInner = (node: number) => square && node % 2 === 1;
	const endY = (node: number, group: number) =>
		topOf(group) + (isInner(node) ? groupHeight / 2 : isUp(node, group) ? 0 : groupHeight);
	const groups = Array.from({ length: series }, (_, i) => i + 1);
	const touchedBy = (node: number) => [node, node + 1].filter((g) => g >= 1 && g <= series);
	const nodes = Array.from({ length: series + 1 }, (_, node) => {
		const touched = touchedBy(node);
		const own = touched[0]!;
		const sameRow = touched.length === 2 && rowOf(touched[0]!) === rowOf(touched[1]!);
		return {
			x: sameRow ? (middleOf(touched[0]!) + middleOf(touched[1]!)) / 2 : middleOf(own),
			y: endY(node, own),
			up: isUp(node, own)
		};
	});
	const width = 2 * MARGIN.x + perRow * pitch - CELL.groupGap;
	const height = 2 * MARGIN.y + (rowOf(series) + 1) * rowHeight - ROW_GAP;
	return turned(
		{
			width,
			height,
			nodes,
			cells: groups.flatMap((group) => Array.from({ length: parallel }, (_, c) => cellOf(group, c))),
			bars: nodes.flatMap((_, node) => barsOf(node))
		},
		shape.outputsAt ?? 'front-left'
	);

	function cellOf(group: number, c: number): BatteryLayout['cells'][number] {
		const lower = square && c >= across;
		return {
			group,
			x: leftOf(group) + (lower ? c - across : c) * (CELL.width + CELL.gap),
			y: topOf(group) + (lower ? CELL.height + MIDDLE_GAP : 0),
			plusUp: square ? lower === isInner(group) : isUp(group, group)
		};
	}

	/** Around the ends of all groups it touches, at the heights given. */
	function around(node: number, touched: readonly number[], ys: readonly number[]): BatteryLayout['bars'][number] {
		const left = Math.min(...touched.map(leftOf)) + INSET;
		const right = Math.max(...touched.map((g) => leftOf(g) + groupWidth)) - INSET;
		const top = Math.min(...ys) - BAR / 2;
		return { node, kind: 'plate', x: left, y: top, width: right - left, height: Math.max(...ys) + BAR / 2 - top };
	}

	/** From one pole to another, along the row or across to the next one. */
	function between(node: number, a: Pole, b: Pole): BatteryLayout['bars'][number] {
		return {
			node,
			kind: 'bar',
			x: Math.min(a.x, b.x) - OVER,
			y: Math.min(a.y, b.y) - BAR / 2,
			width: Math.abs(a.x - b.x) + 2 * OVER,
			height: Math.abs(a.y - b.y) + BAR
		};
	}

	/** Cells in line: as many bars as there are poles, less one. */
	function chain(node: number, touched: readonly number[]): BatteryLayout['bars'] {
		const poles = touched.map((group) =>
			Array.from({ length: parallel }, (_, c) => ({
				x: leftOf(group) + c * (CELL.width + CELL.gap) + CELL.width / 2,
				y: endY(node, group)
			}))
		);
		const [first, next] = poles as [Pole[], Pole[]?];
		const inOne = (row: readonly Pole[]) => row.slice(1).map((pole, i) => between(node, row[i]!, pole));
		if (!next) {
			if (parallel > 1) return inOne(first);
			return [{ node, kind: 'lug', x: first[0]!.x - 15, y: first[0]!.y - BAR / 2, width: 30, height: BAR }];
		}
		// Nearest to each other: side by side in a row, or one above the other where the row turns.
		const pairs = first.flatMap((a) => next.map((b) => ({ a, b, apart: Math.hypot(a.x - b.x, a.y - b.y) })));
		const nearest = pairs.reduce((a, b) => (b.apart < a.apart ? b : a));
		return [...inOne(first), between(node, nearest.a, nearest.b), ...inOne(next)];
	}

	function barsOf(node: number): BatteryLayout['bars'] {
		const touched = touchedBy(node);
		if (!square) return chain(node, touched);
		const joining = around(
			node,
			touched,
			touched.map((g) => endY(node, g))
		);
		if (isInner(node)) return [joining];
		// Both outer sides carry this node: a bar on each, and a strap past the block ties them.
		const first = touched[0]!;
		const last = touched.at(-1)!;
		const [top, bottom] = [topOf(first), topOf(last) + groupHeight];
		const turnsHere = rowOf(first) !== rowOf(last);
		const outer = turnsHere
			? [
					around(node, [first], [top]),
					around(node, touched, [topOf(first) + groupHeight, topOf(last)]),
					around(node, [last], [bottom])
				]
			: [around(node, touched, [top]), around(node, touched, [bottom])];
		const inOneRow = touched.length === 2 && !turnsHere;
		const atEnd = leftOf(first) + groupWidth + CELL.groupGap / 2 > width / 2;
		const x = inOneRow
			? (middleOf(first) + middleOf(last)) / 2
			: atEnd
				? leftOf(first) + groupWidth + STRAP / 2
				: leftOf(first) - STRAP / 2;
		return [...outer, { node, kind: 'strap', x: x - STRAP / 2, y: top, width: STRAP, height: bottom - top }];
	}
}

/** The whole drawing mirrored so that battery − leaves at the corner that was chosen. */
function turned(layout: BatteryLayout, corner: OutputCorner): BatteryLayout {
	const acrossX = corner.endsWith('right');
	const acrossY = corner.startsWith('back');
	const x = (left: number, size = 0) => (acrossX ? layout.width - left - size : left);
	const y = (top: number, size = 0) => (acrossY ? layout.height - top - size : top);
	return {
		...layout,
		cells: layout.cells.map((c) => ({
			group: c.group,
			x: x(c.x, CELL.width),
			y: y(c.y, CELL.height),
			plusUp: c.plusUp !== acrossY
		})),
		nodes: layout.nodes.map((n) => ({ x: x(n.x), y: y(n.y), up: n.up !== acrossY })),
		bars: layout.bars.map((b) => ({ ...b, x: x(b.x, b.width), y: y(b.y, b.height) }))
	};
}
