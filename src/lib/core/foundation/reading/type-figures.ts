import type { Chemistry } from '../chemistry';
import { median } from '../statistics';
import { type Subject, type Verdict } from '../verdicts';
import { say } from './verdicts';

/** What was copied from the data sheet of a cell type; null: nothing was. */
export interface TypeFigures {
	ratedAh: number;
	acResistanceMohm: number | null;
	massKg: number | null;
}

/** What was read of its cells, mΩ with four wires and kg; null where it was not. */
export interface SeenOfType {
	acResistanceMohm: number | null;
	massKg: number | null;
}

/** AC resistance × capacity of prismatic cells at 1 kHz, mΩ·Ah, with room (default): typically 40 to 60 for LFP. */
const USUAL_MOHM_AH: Record<Chemistry, [number, number]> = { LFP: [20, 200], LTO: [3, 200], NMC: [10, 250] };
/** So many cells that agree among themselves weigh more than a figure that was copied (default). */
const ENOUGH = 3;
/** They agree when each is this near their middle; the figure is doubted when their middle is further from it (default), shares. */
const AGREE = { acResistance: 0.1, mass: 0.02 };
const APART = { acResistance: 0.35, mass: 0.05 };
/** A slip is of one or two places. */
const SLIPS = [10, 0.1, 100, 0.01];

/** The middle of readings that all agree; null while too few are read or they disagree among themselves. */
function agreed(read: readonly (number | null)[], within: number): { middle: number; cells: number } | null {
	const values = read.filter((v): v is number => v !== null);
	const middle = median(values);
	if (middle === null || values.length < ENOUGH) return null;
	return values.every((v) => Math.abs(v / middle - 1) <= within) ? { middle, cells: values.length } : null;
}

function resistanceDoubted(
	chemistry: Chemistry,
	{ ratedAh, acResistanceMohm: typed }: TypeFigures,
	seen: readonly SeenOfType[],
	subject: Subject
): Verdict[] {
	if (typed === null) return [];
	const [low, high] = USUAL_MOHM_AH[chemistry].map((v) => v / ratedAh) as [number, number];
	const read = agreed(
		seen.map((c) => c.acResistanceMohm),
		AGREE.acResistance
	);
	const fits = (mohm: number) =>
		read ? Math.abs(mohm / read.middle - 1) <= APART.acResistance : mohm >= low && mohm <= high;
	if (fits(typed)) return [];
	const slip = SLIPS.map((by) => typed * by).find(fits) ?? null;
	const facts = { quantity: 'acResistance' as const, typed, seen: read?.middle ?? null, cells: read?.cells ?? 0 };
	return [say('type-figure-doubted', 'look', subject, { ...facts, ratedAh, usualLow: low, usualHigh: high, slip })];
}

/** Lighter cells than the sheet have a verdict of their own: less may be inside. */
function massDoubted(
	{ ratedAh, massKg: typed }: TypeFigures,
	seen: readonly SeenOfType[],
	subject: Subject
): Verdict[] {
	const read = agreed(
		seen.map((c) => c.massKg),
		AGREE.mass
	);
	if (typed === null || !read || read.middle / typed - 1 <= APART.mass) return [];
	const slip = SLIPS.map((by) => typed * by).find((kg) => Math.abs(kg / read.middle - 1) <= APART.mass) ?? null;
	const facts = { quantity: 'mass' as const, typed, seen: read.middle, cells: read.cells, ratedAh };
	return [say('type-figure-doubted', 'look', subject, { ...facts, usualLow: null, usualHigh: null, slip })];
}

/**
 * Whether a figure of the cell type is likelier wrong than all its cells: they agree among themselves and not with it, or, before any is read, no
 * such cell has it.
 * @param seen of each cell; empty: none is at hand
 */
export const judgeTypeFigures = (
	chemistry: Chemistry,
	type: TypeFigures,
	seen: readonly SeenOfType[],
	subject: Subject
): Verdict[] => [...resistanceDoubted(chemistry, type, seen, subject), ...massDoubted(type, seen, subject)];
