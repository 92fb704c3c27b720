import { judgePlanStage } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

export const planStage = defineStage({ name: 'plan', facts: noFacts, judge: judgePlanStage });
