/** A battery of S groups of P cells from above, in rows that turn at their ends. Units of the drawing. */
export interface BatteryLayout {
	width: number;
	height: number;
	/** In the order of groups, then of cells within a group. */
	cells: { group: number; x: number; y: number; /** Its plus is at the upper end. */ plusUp: boolean }[];
	/** Where node k (0: battery negative … S: battery positive) sits, and the bar that carries it. */
	nodes: { x: number; y: number; /** At the upper end of its row. */ up: boolean }[];
	/** Bars between neighbours; the first and last are the main terminals. */
	bars: { x: number; y: number; width: number; height: number }[];
}

export const CELL = { width: 46, height: 104, gap: 4, groupGap: 14 };
const BAR = 12;
const MARGIN = { x: 10, y: 18 };
const ROW_GAP = 34;
/** More groups in a row make names too small to read. */
const MOST_GROUPS_A_ROW = 8;
const MOST_CELLS_A_ROW = 12;
const MOST_CELLS_NARROW = 4;

/** Even, so that a row ends on the side where the next begins. */
function groupsARow(series: number, parallel: number, mostCells: number): number {
	const fitting = Math.min(series, MOST_GROUPS_A_ROW, Math.max(1, Math.floor(mostCells / parallel)));
	return fitting < series && fitting > 1 ? fitting - (fitting % 2) : fitting;
}

/** @param series groups, from 1; @param parallel cells a group, from 1; @param narrow fewer cells a row, for a hand-held screen */
export function batteryLayout(series: number, parallel: number, narrow = false): BatteryLayout {
	const perRow = groupsARow(series, parallel, narrow ? MOST_CELLS_NARROW : MOST_CELLS_A_ROW);
	const groupWidth = parallel * CELL.width + (parallel - 1) * CELL.gap;
	const pitch = groupWidth + CELL.groupGap;
	const rowHeight = CELL.height + ROW_GAP;
	const rowOf = (group: number) => Math.floor((group - 1) / perRow);
	/** Left edge of a group; every other row runs back. */
	const leftOf = (group: number) => {
		const inRow = (group - 1) % perRow;
		return MARGIN.x + (rowOf(group) % 2 ? perRow - 1 - inRow : inRow) * pitch;
	};
	const topOf = (group: number) => MARGIN.y + rowOf(group) * rowHeight;
	/** Whether a node is at the upper end of the cells of a group that it touches. */
	const isUp = (node: number, group: number) => (node + rowOf(group)) % 2 === 1;
	const endY = (node: number, group: number) => topOf(group) + (isUp(node, group) ? 0 : CELL.height);
	const middleOf = (group: number) => leftOf(group) + groupWidth / 2;
	const groups = Array.from({ length: series }, (_, i) => i + 1);
	const nodes = Array.from({ length: series + 1 }, (_, node) => {
		const before = node > 0 ? node : null;
		const after = node < series ? node + 1 : null;
		const own = before ?? after!;
		const sameRow = before !== null && after !== null && rowOf(before) === rowOf(after);
		return {
			x: sameRow ? (middleOf(before) + middleOf(after)) / 2 : middleOf(own),
			y: endY(node, own),
			up: isUp(node, own)
		};
	});
	return {
		width: 2 * MARGIN.x + perRow * pitch - CELL.groupGap,
		height: 2 * MARGIN.y + (rowOf(series) + 1) * rowHeight - ROW_GAP,
		cells: groups.flatMap((group) =>
			Array.from({ length: parallel }, (_, c) => ({
				group,
				x: leftOf(group) + c * (CELL.width + CELL.gap),
				y: topOf(group),
				plusUp: isUp(group, group)
			}))
		),
		nodes,
		bars: nodes.map((_, node) => barOf(node))
	};

	function barOf(node: number): BatteryLayout['bars'][number] {
		const touched = [node, node + 1].filter((g) => g >= 1 && g <= series);
		const left = Math.min(...touched.map(leftOf));
		const right = Math.max(...touched.map((g) => leftOf(g) + groupWidth));
		const ends = touched.map((g) => endY(node, g));
		const inset = 6;
		return {
			x: left + inset,
			y: Math.min(...ends) - BAR / 2,
			width: right - left - 2 * inset,
			height: Math.max(...ends) - Math.min(...ends) + BAR
		};
	}
}
