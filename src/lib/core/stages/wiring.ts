import { STRATEGY_FIGURES, checkWiring } from '../limits';
import type { Verdict } from '../verdicts';
import type { BankPicture, PictureBattery } from './picture';
import { batterySubject } from './picture-parts';

/**
 * Fuse, cable and BMS of a battery against each other and against the loads of the plan. Batteries in parallel are reckoned to share
 * alike; in series each carries all of it at the voltage of the chain.
 */
export function wiringVerdicts(picture: BankPicture, battery: PictureBattery): Verdict[] {
	const { batteries, bank, limitPlan, plannedPeakW = null } = picture;
	const figures = STRATEGY_FIGURES[bank.chemistry][limitPlan?.strategy ?? 'middle-road'];
	// Alike or not, what stands in series with it, or beside it, takes its part of the power.
	const load =
		plannedPeakW === null || battery.kind !== 'built'
			? null
			: { peakW: plannedPeakW / Math.max(1, batteries.length), leastV: battery.series * figures.loadCutoffV };
	return checkWiring({ ...battery, load }, batterySubject(picture, battery));
}
