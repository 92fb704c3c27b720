import { bankLayout } from '../layouts';
import {
	planState,
	type BankPlan,
	type PlannedLayout,
	type PlannedCell,
	type PlanState,
	type PlanTime
} from '../bank-plan';
import type { BuildStep } from '../calendar';
import type { BankPicture } from '../../picture';

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
export function plannedLayout({ bank, batteries }: BankPicture): PlannedLayout {
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
