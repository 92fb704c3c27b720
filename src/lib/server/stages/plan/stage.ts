import { judgePlanStage, type BankPicture, type PlanFactsOfBank } from '$lib/core/stages';
import { plans } from '../../records';
import { defineStage } from '../stage';
import { planTime } from './plan-time';

/** What was written down before buying. */
export async function planFacts({ bank }: BankPicture): Promise<PlanFactsOfBank> {
	const [[plan], time] = await Promise.all([plans.all({ bankId: bank.id }), planTime()]);
	return { plan: plan ?? null, time };
}

export const planStage = defineStage({ name: 'plan', facts: planFacts, judge: judgePlanStage });
