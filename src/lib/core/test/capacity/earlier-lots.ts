import { deviation, mean, median, sum } from 'd3-array';
import { requirePositive } from '../../foundation/errors';
import { TESTER_GAIN_SD } from '../verdicts';
import { type LotEvidence } from './judge-capacity';
import type { TestedLot } from '../../picture';

/** Cells of one lot scatter so much, lots of one type from each other so much, as fractions (default); each counts like so many of its own. */
const WITHIN = { sd: 0.012, weight: 4 };

const BETWEEN = { sd: 0.01, weight: 3 };

/** Fewer cells than that say nothing of the mean of a lot. */
const MIN = 3;

/** A cell further from the median of its lot is weak, or its figure a slip; lots further apart are not alike, whatever they are called. */
const SLIPPED = 0.1;

const ALIKE = 0.05;

const meanOf = (lot: TestedLot) => mean(lot.capacitiesAh)!;

function believable({ tester, capacitiesAh }: TestedLot): TestedLot {
	const usualAh = median(capacitiesAh) ?? 0;
	return { tester, capacitiesAh: capacitiesAh.filter((ah) => Math.abs(ah / usualAh - 1) <= SLIPPED) };
}

/**
 * Partial pooling of lots of one cell type: the mean of a new lot, as its tester reads it, against the means of earlier lots on other testers.
 * A difference is shared between the lots, which differ, and the testers, whose gain is known to 1 % (default); a lot on the same tester tells
 * nothing of its gain and is passed over, as are figures that can only be slips and lots that are not alike. Normal model with moments; scatter within and between lots shrunk towards their usual size.
 * @returns null where no earlier lot tells anything, or fewer than three cells of this one are measured
 * @throws CoreError `not-positive` for a capacity of 0 or less
 */
export function evidenceOfEarlierLots(own: TestedLot, earlier: readonly TestedLot[]): LotEvidence | null {
	const check = (lot: TestedLot, path: string) =>
		lot.capacitiesAh.forEach((ah, i) => requirePositive(ah, `${path}.capacitiesAh.${i}`));
	check(own, 'own');
	earlier.forEach((lot, i) => check(lot, `earlier.${i}`));
	const lot = believable(own);
	if (lot.capacitiesAh.length < MIN) return null;
	const told = earlier
		.filter((e) => e.tester !== own.tester)
		.map(believable)
		.filter((e) => e.capacitiesAh.length >= MIN && Math.abs(meanOf(e) / meanOf(lot) - 1) <= ALIKE);
	if (told.length === 0) return null;
	const within = withinSd([lot, ...told]);
	const typeAh = mean(told, meanOf)!;
	const apart = told.length > 1 ? deviation(told, (e) => meanOf(e) / typeAh)! : 0;
	const between = Math.sqrt(
		((told.length - 1) * apart ** 2 + BETWEEN.weight * BETWEEN.sd ** 2) / (told.length - 1 + BETWEEN.weight)
	);
	const testers = new Set(told.map((e) => e.tester)).size;
	// What is not known of the type's mean: lots that differ, and the gains of the testers that measured them.
	const typeVar = between ** 2 / told.length + TESTER_GAIN_SD ** 2 / testers;
	const lotVar = between ** 2 + typeVar + within ** 2 / lot.capacitiesAh.length;
	const shareOfTester = TESTER_GAIN_SD ** 2 / (TESTER_GAIN_SD ** 2 + lotVar);
	return {
		gain: (meanOf(lot) / typeAh - 1) * shareOfTester,
		sd: TESTER_GAIN_SD * Math.sqrt(1 - shareOfTester),
		lots: told.length,
		cells: sum(told, (e) => e.capacitiesAh.length)
	};
}

/** Scatter of cells within their lots, as a fraction. */
function withinSd(lots: readonly TestedLot[]): number {
	const squares = sum(lots, ({ capacitiesAh }) => {
		const own = mean(capacitiesAh)!;
		return sum(capacitiesAh, (ah) => (ah / own - 1) ** 2);
	});
	const freedom = sum(lots, (lot) => lot.capacitiesAh.length - 1);
	return Math.sqrt((squares + WITHIN.weight * WITHIN.sd ** 2) / (freedom + WITHIN.weight));
}
