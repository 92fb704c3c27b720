import { bankPlanState } from '$lib/core/plan/state';
import { NO_PLAN } from '$lib/core/plan/bank-plan';
import type { BuildStep } from '$lib/core/plan/calendar';
import { loadBankPicture } from '../../bank-picture/load';
import { ServiceError } from '../../errors';
import { icsFile } from '../../formats/ics';
import { plans } from '../../records';
import { planTime } from './plan-time';

const TITLES: Record<BuildStep, string> = {
	order: 'Order the cells',
	arrive: 'Cells under way',
	inspect: 'Inspect the cells',
	soak: 'Cells stand a day',
	test: 'Test the cells',
	balance: 'Balance in parallel',
	build: 'Build',
	prove: 'Prove'
};
const DAY_MS = 86_400_000;

/** The steps of a bank's build as a calendar file. @throws ServiceError 409 while no cell type is chosen */
export async function bankCalendar(bankId: number): Promise<string> {
	const picture = await loadBankPicture(bankId);
	const [plan] = await plans.all({ bankId });
	const { calendar } = bankPlanState(picture, plan ?? NO_PLAN, await planTime());
	const standing = picture.cells.filter((c) => c.storageTest && !c.storageTest.refilledAt);
	if (!calendar && standing.length === 0)
		throw new ServiceError(409, 'no-cell-type', 'Choose the cell type first: without it no step has a duration.');
	const { name } = picture.bank;
	const entry = (key: string, title: string, startMs: number, endMs: number, text: string | null = null) => ({
		uid: `bank-${bankId}-${key}`,
		title: `${name}: ${title}`,
		startMs,
		endMs: Math.max(endMs, startMs + DAY_MS),
		text
	});
	const again = standing.map(({ id, label, storageTest }) => {
		const dueMs = Date.parse(storageTest!.dueOn);
		const text = 'To the same volts and the same tail; write down the Ah on its passport.';
		return entry(`stands-${id}`, `Charge ${label} again`, dueMs, dueMs, text);
	});
	if (!calendar) return icsFile(name, again);
	return icsFile(name, [
		...again,
		...calendar.steps.map((s) => entry(s.step, TITLES[s.step], s.startMs, s.endMs)),
		entry('parts', 'Last day to order the other parts', calendar.orderPartsByMs, calendar.orderPartsByMs),
		entry(
			'claim',
			'Last usual day to complain of a cell',
			calendar.claimUntilMs,
			calendar.claimUntilMs,
			'The supplier’s terms and the law come first.'
		)
	]);
}
