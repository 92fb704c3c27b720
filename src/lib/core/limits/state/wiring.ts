import { STRATEGY_FIGURES, checkWiring } from '../values';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { batterySubject, type BankPicture, type PictureBattery } from '../../picture';

/** A BMS that is made for more cells stays dark, and one for fewer is burnt by the first lead. */
export function bmsCells({ kind, series, bmsLeastCells, bmsMostCells }: PictureBattery, subject: Subject): Verdict[] {
	const tooFew = bmsLeastCells !== null && series < bmsLeastCells;
	const tooMany = bmsMostCells !== null && series > bmsMostCells;
	if (kind !== 'built' || (!tooFew && !tooMany)) return [];
	return [say('bms-cells', 'stop', subject, { series, leastCells: bmsLeastCells, mostCells: bmsMostCells, tooFew })];
}

const ahOf = ({ cellType }: BankPicture, { kind, ratedAh, parallel }: PictureBattery): number | null =>
	kind === 'built' ? (cellType ? cellType.ratedAh * parallel : null) : ratedAh;

/** The part of a load's power that one battery gives; alike where they stand in series, or nobody knows what they hold. */
export function shareOf(picture: BankPicture, battery: PictureBattery): number {
	const all = picture.batteries;
	const ah = all.map((b) => ahOf(picture, b));
	const own = ahOf(picture, battery);
	if (battery.joins === 'series' || own === null || ah.includes(null)) return 1 / Math.max(1, all.length);
	return own / ah.reduce<number>((sum, v) => sum + v!, 0);
}

/**
 * Fuse, cable and BMS of a battery against each other and against the loads of the plan. Batteries side by side share by
 * what they hold: a larger one has less resistance.
 */
export function wiringVerdicts(picture: BankPicture, battery: PictureBattery): Verdict[] {
	const { bank, limitPlan, plannedDraw = null } = picture;
	const figures = STRATEGY_FIGURES[bank.chemistry][limitPlan?.strategy ?? 'middle-road'];
	const load =
		plannedDraw === null || battery.kind !== 'built'
			? null
			: {
					peakW: plannedDraw.peakW * shareOf(picture, battery),
					leastV: plannedDraw.cutoffV ?? battery.series * figures.loadCutoffV
				};
	const subject = batterySubject(picture, battery);
	return [...bmsCells(battery, subject), ...checkWiring({ ...battery, load }, subject)];
}
