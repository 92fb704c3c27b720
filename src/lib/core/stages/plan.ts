import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import {
	USUAL_PLAN,
	bankLayout,
	judgeBankPlan,
	judgePlan,
	nominalClassV,
	planState,
	type BankPlan,
	type PlannedLayout,
	type BuildStep,
	type PlannedCell,
	type PlanState,
	type PlanTime
} from '../plan/needs';
import { judgeTypeFigures } from '../foundation/reading';
import { say, type Verdict } from '../foundation/verdicts';
import type { BankPicture, PictureBattery } from './picture';
import { bankSubject, typeFigures } from './picture-parts';
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

const NOTHING_WRITTEN: PlanFactsOfBank = { plan: null, time: { nowMs: 0 } };

/** What was written down before buying, and when it is looked at. */
export interface PlanFactsOfBank {
	plan: BankPlan | null;
	time: Omit<PlanTime, 'done'>;
	/** Orders that have not come yet; missing: none. */
	orders?: readonly OpenOrder[];
}

/** Cells that were ordered and have not come yet. Days as ISO text. */
export interface OpenOrder {
	name: string;
	orderedOn: string | null;
	promisedOn: string | null;
}

/** The cells of a bank as a plan reckons with them; null while no type is chosen. */
function plannedCell({ cellType }: BankPicture): PlannedCell | null {
	if (!cellType) return null;
	const { ratedAh, massKg = null, widthMm = null, thicknessMm = null, heightMm = null, chargeCRate } = cellType;
	return { ratedAh, massKg, widthMm, thicknessMm, heightMm, chargeCRate };
}

/** What follows from a plan, but for the year of use. */
export const bankPlanState = (picture: BankPicture, plan: BankPlan, time: Omit<PlanTime, 'done'>): PlanState =>
	planState(plan, plannedLayout(picture), plannedCell(picture), { ...time, done: doneSteps(picture) });

/** The layout that is planned and bought: ready-made batteries need no cells. */
function plannedLayout({ bank, batteries }: BankPicture): PlannedLayout {
	const { built, besideAh } = bankLayout(batteries);
	const rows = batteries.find((b) => b.kind === 'built')?.rows ?? null;
	return { ...bank, batteries: built || bank.batteries, besideAh, rows };
}

/** What of the build has happened already, by the records; the first delivery counts as the arrival. */
export function doneSteps({ deliveries, cells }: BankPicture): Partial<Record<BuildStep, number>> {
	const arrived = deliveries.map((d) => Date.parse(d.receivedOn));
	if (arrived.length === 0) return {};
	const arriveMs = Math.min(...arrived);
	const tested = cells.map((c) => c.runs.at(-1)?.testedAt ?? null);
	const testedMs =
		tested.every((t) => t !== null) && tested.length ? Math.max(...tested.map((t) => Date.parse(t!))) : null;
	return { order: arriveMs, arrive: arriveMs, ...(testedMs === null ? {} : { test: testedMs }) };
}

function beforeBuying(picture: BankPicture, { plan, time, orders = [] }: PlanFactsOfBank): Verdict[] {
	const late = overdue(picture, plan, orders, time.nowMs);
	if (!plan) return late;
	const { chemistry, series } = picture.bank;
	const classV = nominalClassV(series * CHEMISTRY_FIGURES[chemistry].nominalV);
	return [
		...late,
		...judgeBankPlan(plan, bankPlanState(picture, plan, time), classV, bankSubject(picture), time.nowMs)
	];
}

/** A parcel is given so long beyond its lead time (default), days. */
const GRACE_DAYS = 7;
const DAY_MS = 86_400_000;

/** What was ordered and should have come: by the orders written down, else by the plan's day and lead time. */
function overdue(picture: BankPicture, plan: BankPlan | null, orders: readonly OpenOrder[], nowMs: number): Verdict[] {
	if (nowMs === 0) return [];
	const leadDays = plan?.cellLeadDays ?? USUAL_PLAN.cellLeadDays;
	const asPlanned = plan?.orderOn && picture.deliveries.length === 0 && orders.length === 0 ? [plan.orderOn] : [];
	const awaited = [
		...asPlanned.map((orderOn) => ({ orderOn, promisedOn: null })),
		...orders.flatMap(({ orderedOn, promisedOn }) => {
			const orderOn = orderedOn ?? promisedOn;
			return orderOn === null ? [] : [{ orderOn, promisedOn }];
		})
	];
	const due = awaited.map(({ orderOn, promisedOn }) => ({
		...{ orderOn, promisedOn },
		dueMs: promisedOn === null ? Date.parse(orderOn) + leadDays * DAY_MS : Date.parse(promisedOn)
	}));
	// The longest overdue speaks for all of them.
	const first = due.sort((a, b) => a.dueMs - b.dueMs).slice(0, 1);
	return first.flatMap(({ orderOn, promisedOn, dueMs }) => {
		if (nowMs <= dueMs + GRACE_DAYS * DAY_MS) return [];
		const days = Math.round((dueMs - Date.parse(orderOn)) / DAY_MS);
		const dueOn = new Date(dueMs).toISOString().slice(0, 10);
		const facts = { orderOn: orderOn.slice(0, 10), leadDays: promisedOn === null ? leadDays : days, dueOn };
		return [say('order-overdue', 'look', bankSubject(picture), facts)];
	});
}

/** Once cells are read, Receive holds the figures of their type against them. */
function typeVerdicts(picture: BankPicture): Verdict[] {
	const { bank, cellType, cells } = picture;
	if (cellType === null || cells.some((c) => c.readings.acResistance)) return [];
	return judgeTypeFigures(bank.chemistry, typeFigures(cellType), [], bankSubject(picture));
}

/** What to think of a bank's plan. A bank of ready-made batteries alone needs no cell type. */
export function judgePlanStage(picture: BankPicture, facts: PlanFactsOfBank = NOTHING_WRITTEN): StageJudgement {
	const builds = picture.batteries.some((b) => b.kind === 'built');
	const own = builds ? judgePlan(plannedLayout(picture), picture.cellType, bankSubject(picture)) : [];
	const before = beforeBuying(picture, facts);
	// What is wrong with a plan is mended before anything is bought; with cells at hand it goes on.
	const isMended = picture.cells.length > 0 || before.every((v) => v.warmth === 'calm' || v.warmth === 'open');
	return {
		verdicts: [...own, ...typeVerdicts(picture), ...layoutVerdicts(picture), ...before],
		done: (!builds || picture.cellType !== null) && isMended
	};
}
