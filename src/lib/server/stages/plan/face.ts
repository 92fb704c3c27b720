import { judgePlanStage } from '$lib/core/plan/judge';
import type { BankPicture } from '$lib/core/picture';
import type { PlanFactsOfBank } from '$lib/core/plan/state';
import { orders, plans } from '../../records';
import { defineStage } from '../../judgements/stage-face';
import { planTime } from './plan-time';

/** What was written down before buying. */
export async function planFacts({ bank }: BankPicture): Promise<PlanFactsOfBank> {
	const [[plan], time, ordered] = await Promise.all([
		plans.all({ bankId: bank.id }),
		planTime(),
		orders.all({ bankId: bank.id, deliveryId: null })
	]);
	return { plan: plan ?? null, time, orders: ordered };
}

export const planStage = defineStage({ name: 'plan', facts: planFacts, judge: judgePlanStage });
