import { STANDBY_DAYS, standbyDays } from './values';
import { measured, type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import { bankSubject, batterySubject, placedCells, type BankPicture, type StageJudgement } from '../picture';
import { bmsCells, wiringVerdicts, limitsState, type BatteryLimits } from './state';

/** A test must have found less by so many of its own sd before it is news. */
const LESS_BY_SDS = 2;

/** What was measured since of a battery whose limits reckon with more. */
function capacitySince(picture: BankPicture, own: BatteryLimits): Verdict[] {
	const test = picture.batteryTests.find((t) => t.battery === own.battery.number);
	const usedAh = own.values.find((v) => v.key === 'capacityAh')?.value ?? null;
	if (!test || usedAh === null || test.capacityAh + LESS_BY_SDS * test.sdAh >= usedAh) return [];
	const facts = { usedAh, testedAh: measured(test.capacityAh, test.sdAh), testedOn: test.testedAt };
	return [say('capacity-since', 'open', batterySubject(picture, own.battery), facts)];
}

/** How long the cells of a battery last after the load's cut-off; nothing while nobody has said what still flows. */
function standby(picture: BankPicture, { battery, values, measuredGroupAh }: BatteryLimits): Verdict[] {
	const cutoffV = values.find((v) => v.key === 'loadCutoffV')?.value;
	const { standbyA } = battery;
	if (standbyA === null || cutoffV === undefined) return [];
	const capacityAh = measuredGroupAh ?? picture.cellType!.ratedAh * battery.parallel;
	const { chemistry } = picture.bank;
	const { days, chargeLeftAh } = standbyDays({ chemistry, capacityAh, cutoffV: cutoffV / battery.series, standbyA });
	const { visited, unvisited } = STANDBY_DAYS;
	const facts = { days, chargeLeftAh, standbyA, visitedDays: visited, unvisitedDays: unvisited };
	const subject = batterySubject(picture, battery);
	return [days < visited ? say('standby-short', 'look', subject, facts) : say('standby-lasts', 'calm', subject, facts)];
}

/** The verdicts on the limits of a bank. */
export function judgeLimitsStage(picture: BankPicture): StageJudgement {
	const state = limitsState(picture);
	const { plan } = state;
	const subject = bankSubject(picture);
	// Values that break the chain, or that cannot be, are chosen and not done.
	// Of a ready-made battery only what somebody said of its fuse and cable can be compared.
	const wiring = picture.batteries.flatMap((b) => {
		const known = b.kind === 'built' ? plan !== null || b.fuseA !== null : b.fuseA !== null && b.cableA !== null;
		return known ? wiringVerdicts(picture, b) : bmsCells(b, batterySubject(picture, b));
	});
	const since = state.batteries.flatMap((b) => capacitySince(picture, b));
	const judged = [...wiring, ...state.batteries.map((b) => b.verdict)];
	const own = [...judged, ...since, ...state.batteries.flatMap((b) => standby(picture, b))];
	const isCalm = (v: Verdict) => v.warmth === 'calm';
	// What nobody wrote down is not in order; a capacity that has since become less undoes nothing.
	const done = plan !== null && judged.every(isCalm);
	// Ready-made batteries bring their own limits.
	if (picture.batteries.every((b) => b.kind !== 'built')) return { verdicts: wiring, done: wiring.every(isCalm) };
	if (!picture.cellType)
		return {
			verdicts: [...wiring, say('no-cell-type', plan ? 'look' : 'open', subject, { wantedFor: 'limits' })],
			done: false
		};
	const groups = picture.batteries.flatMap((b) => b.groups).filter((g) => g.cellIds.length > 0).length;
	const waiting = !plan && placedCells(picture).length > 0;
	return {
		verdicts: [...(waiting ? [say('limits-waiting', 'open', subject, { groups })] : []), ...own],
		done
	};
}
