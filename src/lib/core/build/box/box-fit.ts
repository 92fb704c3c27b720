import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';

export interface BoxFitInput {
	/** Inside, mm. */
	box: { lengthMm: number; widthMm: number; heightMm: number };
	/** Upright: its broad side, its thickness, its height to the terminals, mm. */
	cell: { widthMm: number; thicknessMm: number; heightMm: number };
	/** Cells of the battery. */
	cells: number;
	/** Between two cells, mm; half to one is usual. */
	insulationMm?: number;
	/** Of one plate at each end of a row, mm. */
	endPlateMm?: number;
	/** Above the terminals: bars, lugs and what keeps the lid off them, mm. */
	lidMm?: number;
	/** The BMS with the air it wants around it, mm; null: it sits elsewhere. */
	bms?: { lengthMm: number; widthMm: number; heightMm: number } | null;
	/** Main fuse, disconnect and what joins them, mm; null: elsewhere. */
	fuse?: { lengthMm: number; widthMm: number; heightMm: number } | null;
	/** Thickness of the main cable: bends are laid six times as wide, mm. */
	cableMm?: number;
}

export type PlaceInBox = 'beside' | 'above' | 'elsewhere';

export interface BoxArrangement {
	rows: number;
	/** Cells in the longest row. */
	columns: number;
	/** Cells stand with their thickness along the box's length, or along its width. */
	along: 'length' | 'width';
	/** The BMS beside the cells, on them, or elsewhere. */
	bmsAt: PlaceInBox;
	/** Fuse and disconnect: beside (across from the BMS where both are), above, or elsewhere. */
	fuseAt: PlaceInBox;
	/** What the block takes, mm, along the box's length, width and height. */
	takes: { lengthMm: number; widthMm: number; heightMm: number };
	/** Of the cells alone. */
	cellHeightMm: number;
	/** Left over on each; negative: short by so much. */
	left: { lengthMm: number; widthMm: number; heightMm: number };
	fits: boolean;
}

const USUAL = { insulationMm: 1, endPlateMm: 6, lidMm: 35, cableMm: 0 };
/** Bend radius of a cable in diameters (default). */
const BEND = 6;
const MAX_CELLS = 512;

interface Block {
	lengthMm: number;
	widthMm: number;
	heightMm: number;
}

/** What cells and blocks take together: blocks beside stand one behind the other in a strip, blocks above lie side by side on the lid’s clearance. */
function withBlocks(cells: Block, beside: readonly Block[], above: readonly Block[]): Block {
	const most = (list: readonly Block[], key: keyof Block) => Math.max(0, ...list.map((b) => b[key]));
	const sum = (list: readonly Block[], key: keyof Block) => list.reduce((total, b) => total + b[key], 0);
	return {
		lengthMm: Math.max(cells.lengthMm, sum(above, 'lengthMm')) + most(beside, 'lengthMm'),
		widthMm: Math.max(cells.widthMm, sum(beside, 'widthMm'), most(above, 'widthMm')),
		heightMm: Math.max(cells.heightMm + most(above, 'heightMm'), most(beside, 'heightMm'))
	};
}

/**
 * Every way the cells of a battery can stand upright in a box: rows of equal length (the last may be short), their thickness along or
 * across it, the BMS beside or above; what is left, or on which side it is short. Those that fit first, roomiest first; of the others
 * the one that lacks least.
 * @throws CoreError `not-positive`, `negative`, `layout`
 */
export function boxArrangements(input: BoxFitInput): BoxArrangement[] {
	const { box, cell, cells, bms = null, fuse = null } = input;
	for (const key of ['lengthMm', 'widthMm', 'heightMm'] as const) requirePositive(box[key], `box.${key}`);
	for (const key of ['widthMm', 'thicknessMm', 'heightMm'] as const) requirePositive(cell[key], `cell.${key}`);
	if (!Number.isInteger(cells) || cells < 1 || cells > MAX_CELLS)
		throw new CoreError('layout', 'cells', `cells requires a whole number from 1 to ${MAX_CELLS}, got ${cells}`);
	const own = {
		...USUAL,
		...Object.fromEntries(Object.entries(input).filter(([, v]) => v !== undefined))
	} as typeof USUAL;
	for (const key of ['insulationMm', 'endPlateMm', 'lidMm', 'cableMm'] as const) requireNotNegative(own[key], key);
	const placesOf = (block: Block | null): PlaceInBox[] => (block ? ['beside', 'above'] : ['elsewhere']);
	const places = placesOf(bms).flatMap((bmsAt) => placesOf(fuse).map((fuseAt) => ({ bmsAt, fuseAt })));
	const found: BoxArrangement[] = [];
	for (let rows = 1; rows <= cells; rows++) {
		const columns = Math.ceil(cells / rows);
		// No row stands empty.
		if (Math.ceil(cells / columns) !== rows) continue;
		const stackMm = columns * cell.thicknessMm + (columns - 1) * own.insulationMm + 2 * own.endPlateMm;
		const acrossMm = rows * cell.widthMm + (rows - 1) * own.insulationMm;
		for (const along of ['length', 'width'] as const)
			for (const { bmsAt, fuseAt } of places) {
				const cellsTake = {
					lengthMm: along === 'length' ? stackMm : acrossMm,
					widthMm: along === 'length' ? acrossMm : stackMm,
					heightMm: cell.heightMm + Math.max(own.lidMm, BEND * own.cableMm)
				};
				const beside = [bmsAt === 'beside' && bms, fuseAt === 'beside' && fuse].filter(
					(b) => b !== false && b !== null
				);
				const above = [bmsAt === 'above' && bms, fuseAt === 'above' && fuse].filter((b) => b !== false && b !== null);
				const takes = withBlocks(cellsTake, beside, above);
				const left = {
					lengthMm: box.lengthMm - takes.lengthMm,
					widthMm: box.widthMm - takes.widthMm,
					heightMm: box.heightMm - takes.heightMm
				};
				const fits = Math.min(left.lengthMm, left.widthMm, left.heightMm) >= 0;
				found.push({ rows, columns, along, bmsAt, fuseAt, takes, cellHeightMm: cell.heightMm, left, fits });
			}
	}
	const short = ({ left }: BoxArrangement) =>
		[left.lengthMm, left.widthMm, left.heightMm].reduce((sum, mm) => sum + Math.max(0, -mm), 0);
	const room = ({ left }: BoxArrangement) => Math.min(left.lengthMm, left.widthMm, left.heightMm);
	return found.sort((a, b) => short(a) - short(b) || room(b) - room(a));
}
