import { UNDER_SHEET, say } from '../verdicts';
import { median } from '../../foundation/statistics';
import { cellSubject, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { findOutliers, QUANTITY_FIGURES } from '../../foundation/reading';

export interface BodyOfCell {
	id: number;
	label: string;
	massKg: number | null;
	massSdKg: number | null;
	temperatureC: number | null;
	/** In the middle of its case, mm; null or missing: not taken. */
	thicknessMm?: number | null;
	thicknessSdMm?: number | null;
}

/** Cells read so far apart in temperature are not read alike, K (default). */
const UNLIKE_K = 5;

/** What mass, thickness and temperature of the cells of a delivery say. @param sheetKg by the cell's sheet; null: not known */
export function judgeBodies(cells: readonly BodyOfCell[], sheetKg: number | null, delivery: Subject): Verdict[] {
	return [...massVerdicts(cells, sheetKg, delivery), ...thicknessVerdicts(cells), ...warmthVerdict(cells, delivery)];
}

function massVerdicts(all: readonly BodyOfCell[], sheetKg: number | null, delivery: Subject): Verdict[] {
	const cells = all.filter((c): c is BodyOfCell & { massKg: number } => c.massKg !== null);
	const medianKg = median(cells.map((c) => c.massKg));
	if (medianKg === null) return [];
	const sd = median(cells.flatMap((c) => c.massSdKg ?? [])) ?? 0;
	const outliers = findOutliers(
		cells.map((c) => c.massKg),
		QUANTITY_FIGURES.mass.floor,
		sd
	)
		.filter((f) => f.outlier)
		.map((f) =>
			say('mass-outlier', 'look', cellSubject(cells[f.index]!), {
				massKg: measured(cells[f.index]!.massKg, sd),
				medianKg,
				relativeDifference: f.differenceFromMedian / medianKg
			})
		);
	const under = sheetKg === null ? 0 : medianKg / sheetKg - 1;
	if (under >= -UNDER_SHEET) return outliers;
	const facts = { medianKg, sheetKg: sheetKg!, relativeDifference: under, cells: cells.length };
	return [...outliers, say('mass-under-sheet', 'open', delivery, facts)];
}

/** A case that stands out of its fellows; swelling past the limit is what inspection stops by. */
function thicknessVerdicts(all: readonly BodyOfCell[]): Verdict[] {
	const cells = all.filter((c): c is BodyOfCell & { thicknessMm: number } => c.thicknessMm != null);
	const medianMm = median(cells.map((c) => c.thicknessMm));
	if (medianMm === null) return [];
	const sd = median(cells.flatMap((c) => c.thicknessSdMm ?? [])) ?? 0;
	return findOutliers(
		cells.map((c) => c.thicknessMm),
		QUANTITY_FIGURES.thickness.floor,
		sd
	)
		.filter((f) => f.outlier)
		.map((f) => {
			const cell = cells[f.index]!;
			const facts = { thicknessMm: measured(cell.thicknessMm, sd), medianMm, differenceMm: f.differenceFromMedian };
			return say('thickness-outlier', 'look', cellSubject(cell), facts);
		});
}

function warmthVerdict(cells: readonly BodyOfCell[], delivery: Subject): Verdict[] {
	const known = cells.flatMap((c) => (c.temperatureC === null ? [] : [c.temperatureC]));
	const [coldestC, warmestC] = [Math.min(...known), Math.max(...known)];
	return known.length > 1 && warmestC - coldestC > UNLIKE_K
		? [say('read-unlike-warm', 'open', delivery, { coldestC, warmestC })]
		: [];
}
