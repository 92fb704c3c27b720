import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { BankPlan } from './bank-plan';
import { chargingVerdicts, type FirstCharge } from '../charging';
import { CABLE_A } from '../loads';
import type { PlanState } from './plan-state';

const DAY_MS = 86_400_000;
/** What is wanted so soon is told. */
const SOON_DAYS = 7;

/**
 * What a plan says before anything is bought, but for the year of use. Nothing that nobody wrote down is judged.
 * @param classV nominal class of the bank, V
 */
export function judgeBankPlan(
	plan: BankPlan,
	state: PlanState,
	classV: number,
	subject: Subject,
	nowMs: number
): Verdict[] {
	return [
		...energyVerdicts(plan, state, classV, subject),
		...(state.charging ? chargingVerdicts(state.charging, subject) : []),
		...(plan.supplies.length && state.firstCharge ? [firstChargeVerdict(state.firstCharge, subject)] : []),
		...hardwareVerdicts(plan, state, subject),
		...boxVerdicts(state, subject),
		...liftVerdicts(plan, state, subject),
		...calendarVerdicts(plan, state, subject, nowMs)
	];
}

function energyVerdicts({ loads }: BankPlan, state: PlanState, classV: number, subject: Subject): Verdict[] {
	if (loads.length === 0) return [];
	const { load, usableWh, daysAlone } = state;
	const own = load.amps.find((a) => a.classV === classV);
	const verdicts: Verdict[] =
		own?.cable === 'none'
			? [say('plan-amps', 'look', subject, { classV, peakA: own.peakA, cableA: CABLE_A.thick })]
			: [];
	if (usableWh === null || daysAlone === null) return verdicts;
	const [most, least] = [Math.max(...load.whPerDay), Math.min(...load.whPerDay)];
	if (daysAlone < 1) return [...verdicts, say('plan-short-energy', 'look', subject, { wantedWh: most, usableWh })];
	const facts = { darkWhPerDay: load.whPerDay[0] ?? most, brightWhPerDay: load.whPerDay[6] ?? least, daysAlone };
	return [...verdicts, say('plan-energy', 'calm', subject, facts)];
}

const SAVINGS = {
	secondSupply: 'A second supply',
	seriesFirst: 'A charge in series first',
	borrowedBars: 'Bars for all cells at once'
} as const;

function firstChargeVerdict({ supply, days, unfit, saves, setV }: FirstCharge, subject: Subject): Verdict {
	if (supply === null || days === null) return say('no-supply', 'look', subject, { unfit, balanceV: setV });
	const [best] = (Object.keys(SAVINGS) as (keyof typeof SAVINGS)[])
		.map((key) => ({ text: SAVINGS[key], days: saves[key] ?? 0 }))
		.sort((a, b) => b.days - a.days);
	const helps = best !== undefined && best.days > 0;
	const facts = { supply, days, bestSaving: helps ? best.text : null, savedDays: helps ? best.days : 0 };
	return say('first-charge', 'calm', subject, facts);
}

function hardwareVerdicts(
	{ kit, partLeadDays }: BankPlan,
	{ missing, hardware }: PlanState,
	subject: Subject
): Verdict[] {
	if (Object.keys(kit).length === 0) return [];
	if (missing.length === 0) return [say('hardware-there', 'calm', subject, { bars: hardware.atOnce.bar ?? 0 })];
	const facts = {
		missing: missing.map(({ item, missing: count }) => ({ item, missing: count })),
		missedAt: missing[0]!.missedAt,
		leadDays: partLeadDays
	};
	return [say('hardware-short', 'look', subject, facts)];
}

function boxVerdicts({ arrangements }: PlanState, subject: Subject): Verdict[] {
	const best = arrangements?.[0];
	if (!arrangements || !best) return [];
	const { rows, columns, left } = best;
	const sides = { length: left.lengthMm, width: left.widthMm, height: left.heightMm };
	const [side, mm] = (Object.entries(sides) as [keyof typeof sides, number][]).reduce((a, b) => (b[1] < a[1] ? b : a));
	if (!best.fits) return [say('box-short', 'look', subject, { side, shortMm: -mm, rows, columns })];
	const fitting = arrangements.filter((a) => a.fits).length;
	return [say('box-fits', 'calm', subject, { arrangements: fitting, rows, columns, leastLeftMm: mm })];
}

function liftVerdicts({ people }: BankPlan, { lift, batteryKg }: PlanState, subject: Subject): Verdict[] {
	if (people === null || !lift || batteryKg === null || lift.canLift) return [];
	const facts = { massKg: batteryKg, people, lots: lift.lotsForPeople, slingHeightMm: lift.slingHeightMm };
	return [say('lift-heavy', 'open', subject, facts)];
}

function calendarVerdicts(
	{ orderOn, partLeadDays }: BankPlan,
	{ calendar }: PlanState,
	subject: Subject,
	nowMs: number
): Verdict[] {
	if (!calendar || orderOn === null || partLeadDays === null) return [];
	const inDays = (calendar.orderPartsByMs - nowMs) / DAY_MS;
	return inDays <= SOON_DAYS ? [say('calendar-order', 'open', subject, { inDays, step: 'bars, BMS and box' })] : [];
}
