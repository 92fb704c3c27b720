import { median } from '../../foundation/statistics';
import { cellSubject, measured, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** A cell and what was read of it while it stood in a row; null when nothing was. */
export interface JoinedCell {
	id: number;
	label: string;
	joined: { value: number; sd: number; takenAt: string } | null;
}

/** Readings of one row lie so close in time, ms. */
const ONE_ROUND_MS = 3_600_000;
/** Cells that carry to each other through a bar stand within this, V (default): what a bar drops while a charge flows. */
const A_BAR_V = 0.01;
const Z95 = 1.96;

/**
 * Cells that stand apart although they are joined in parallel: a bar that does not carry, or a cell left out of the row. Of one cell
 * alone such a reading says nothing. @returns empty with fewer than three readings of the same hour
 */
export function joinedVerdicts(cells: readonly JoinedCell[]): Verdict[] {
	const read = cells.flatMap((c) => (c.joined ? [{ ...c, joined: c.joined }] : []));
	const latestMs = Math.max(...read.map((c) => Date.parse(c.joined.takenAt)));
	const round = read.filter((c) => latestMs - Date.parse(c.joined.takenAt) <= ONE_ROUND_MS);
	if (round.length < 3) return [];
	const rowV = median(round.map((c) => c.joined.value))!;
	return round.flatMap((c) => {
		const difference = measured(c.joined.value - rowV, Math.SQRT2 * c.joined.sd);
		if (Math.abs(difference.value) <= A_BAR_V + Z95 * difference.sd) return [];
		return [say('joined-apart', 'look', cellSubject(c), { differenceV: difference, rowV, of: round.length })];
	});
}
