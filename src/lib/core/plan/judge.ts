import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import { USUAL_PLAN, judgeBankPlan, judgePlan, type BankPlan } from './bank-plan';
import { nominalClassV } from './loads';
import { judgeTypeFigures } from '../foundation/reading';
import { type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import { bankSubject, typeFigures, type BankPicture, type PictureBattery, type StageJudgement } from '../picture';
import { type PlanFactsOfBank, type OpenOrder, bankPlanState, plannedLayout } from './state';

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
		orderOn,
		promisedOn,
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
