import { CoreError } from '../../foundation/errors';

/** A code found in a photo, and where its middle is, px from the upper left. */
export interface FoundCode {
	text: string;
	x: number;
	y: number;
}

/** No maker's code is longer. */
export const LONGEST_CODE = 60;
const OWN_LABEL = /^https?:\/\/[^/]+\/cells\/(\d{1,10})$/;

/** What a photo shows: makers' codes, the cells whose own label was seen, and how many codes are too long to be a cell's. */
export function sortCodes(found: readonly FoundCode[]): { codes: FoundCode[]; ownCellIds: number[]; tooLong: number } {
	const own = found.flatMap(({ text }) => OWN_LABEL.exec(text)?.[1] ?? []);
	const others = found.filter(({ text }) => !OWN_LABEL.test(text));
	const codes = others.filter(({ text }) => text.length <= LONGEST_CODE);
	return { codes, ownCellIds: [...new Set(own.map(Number))], tooLong: others.length - codes.length };
}

/** Codes further apart in height than this share of the usual step stand in another row. */
const ANOTHER_ROW = 0.5;

/**
 * Codes of a crate seen from above, in the order of its tray: rows from the top, each from the left. Rows are told by gaps in height
 * larger than half of the usual distance between codes. @returns the codes in order, each once
 */
export function inTrayOrder(found: readonly FoundCode[]): FoundCode[] {
	const once = [...new Map(found.map((f) => [f.text, f])).values()];
	for (const { x, y } of once)
		if (!Number.isFinite(x) || !Number.isFinite(y))
			throw new CoreError('not-a-number', 'found', 'found requires places as finite numbers');
	if (once.length < 2) return once;
	const step = usualStep(once);
	const rows: FoundCode[][] = [];
	for (const code of [...once].sort((a, b) => a.y - b.y)) {
		const row = rows.at(-1);
		const meanY = row ? row.reduce((sum, c) => sum + c.y, 0) / row.length : -Infinity;
		if (row && code.y - meanY <= ANOTHER_ROW * step) row.push(code);
		else rows.push([code]);
	}
	return rows.flatMap((row) => row.sort((a, b) => a.x - b.x));
}

/** Median distance of each code to its nearest. */
function usualStep(codes: readonly FoundCode[]): number {
	const nearest = codes
		.map((a) => Math.min(...codes.filter((b) => b !== a).map((b) => Math.hypot(a.x - b.x, a.y - b.y))))
		.sort((a, b) => a - b);
	return nearest[nearest.length >> 1]!;
}

export interface PlacedCode {
	cellId: number;
	label: string;
	text: string;
}

/**
 * Which code goes to which cell: in tray order from the cell that was begun with. Where the numbers differ the shorter list ends it, and the
 * person is told.
 */
export function codesToCells(
	found: readonly FoundCode[],
	cells: readonly { id: number; label: string }[],
	from: number | null
): { placed: PlacedCode[]; left: number; without: number } {
	const codes = inTrayOrder(found);
	const start = Math.max(0, from === null ? 0 : cells.findIndex((c) => c.id === from));
	const room = cells.slice(start);
	const count = Math.min(codes.length, room.length);
	return {
		placed: codes.slice(0, count).map(({ text }, i) => ({ cellId: room[i]!.id, label: room[i]!.label, text })),
		left: codes.length - count,
		without: room.length - count
	};
}
