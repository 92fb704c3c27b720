import { USUAL_PLAN } from '$lib/core/plan/bank-plan';
import type { BankPicture } from '$lib/core/picture';
import { orders, plans, type Order } from '../../records';

const DAY_MS = 86_400_000;

/** What the plan knows of an order that is to be written down: nobody is asked for it again. */
export interface PlannedOrder {
	name: string;
	cellCount: number | null;
	cellPrice: number | null;
	orderedOn: string | null;
	promisedOn: string | null;
	promisedAh: number | null;
}

/** Orders of a bank that have not come yet, and what its plan knows of the next one. */
export async function ordersOf({ bank, batteries, cellType }: BankPicture): Promise<{
	orders: Order[];
	plannedOrder: PlannedOrder;
}> {
	const [open, [plan]] = await Promise.all([
		orders.all({ bankId: bank.id, deliveryId: null }),
		plans.all({ bankId: bank.id })
	]);
	const cells = batteries.filter((b) => b.kind === 'built').reduce((sum, b) => sum + b.series * b.parallel, 0);
	const leadMs = (plan?.cellLeadDays ?? USUAL_PLAN.cellLeadDays) * DAY_MS;
	const dueMs = plan?.orderOn ? Date.parse(plan.orderOn) + leadMs : null;
	return {
		orders: open,
		plannedOrder: {
			name: cellType ? `Cells ${cellType.name}` : 'Cells',
			cellCount: cells || bank.series * bank.parallel * bank.batteries,
			cellPrice: plan?.cellPrice ?? null,
			orderedOn: plan?.orderOn ?? null,
			promisedOn: dueMs === null ? null : new Date(dueMs).toISOString(),
			promisedAh: cellType?.ratedAh ?? null
		}
	};
}
