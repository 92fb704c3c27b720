import { judgePlanStage, type BankPicture, type PlanFactsOfBank } from '$lib/core/stages';
import { plans } from '../../records';
import { defineStage } from '../stage';

/** What was written down before buying. */
export async function planFacts({ bank }: BankPicture): Promise<PlanFactsOfBank> {
	const [plan] = await plans.all({ bankId: bank.id });
	return { plan: plan ?? null, nowMs: Date.now() };
}

export const planStage = defineStage({ name: 'plan', facts: planFacts, judge: judgePlanStage });
