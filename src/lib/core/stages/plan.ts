import { CHEMISTRY_FIGURES } from '../chemistry';
import { judgePlan } from '../planning';
import { say, type Verdict } from '../verdicts';
import type { BankPicture, PictureBattery } from './picture';
import { bankSubject } from './picture-parts';
import type { StageJudgement } from './stage-judgement';

const nominalV = ({ bank }: BankPicture, battery: PictureBattery) =>
	battery.kind === 'built' ? battery.series * CHEMISTRY_FIGURES[bank.chemistry].nominalV : battery.nominalV;

/** Nominal voltages within this share of each other are the same class. */
const SAME_CLASS = 0.03;

/** What ready-made batteries in the bank's layout must allow. */
function layoutVerdicts(picture: BankPicture): Verdict[] {
	const subject = bankSubject(picture);
	const inSeries = picture.batteries.filter((b) => b.joins === 'series');
	const sideBySide = picture.batteries.filter((b) => b.joins === 'parallel');
	const verdicts: Verdict[] = [];
	if (inSeries.length > 1) {
		const limits = inSeries.map((b) => b.mostInSeries);
		const mostInSeries = limits.includes(null) ? null : Math.min(...(limits as number[]));
		const facts = { batteries: inSeries.length, mostInSeries };
		if (mostInSeries === null) verdicts.push(say('series-limit', 'look', subject, facts));
		else if (inSeries.length > mostInSeries) verdicts.push(say('series-limit', 'stop', subject, facts));
	}
	const volts = sideBySide.map((b) => nominalV(picture, b));
	const known = volts.filter((v): v is number => v !== null);
	if (known.length > 1 && Math.max(...known) - Math.min(...known) > SAME_CLASS * Math.max(...known))
		verdicts.push(say('unlike-voltages', 'stop', subject, { nominalV: volts }));
	return verdicts;
}

/** What to think of a bank's plan. A bank of ready-made batteries alone needs no cell type. */
export function judgePlanStage(picture: BankPicture): StageJudgement {
	const builds = picture.batteries.some((b) => b.kind === 'built');
	const own = builds ? judgePlan(picture.bank, picture.cellType, bankSubject(picture)) : [];
	return { verdicts: [...own, ...layoutVerdicts(picture)], done: !builds || picture.cellType !== null };
}
