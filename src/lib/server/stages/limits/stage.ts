import { judgeLimitsStage } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

export const limitsStage = defineStage({ name: 'limits', facts: noFacts, judge: judgeLimitsStage });
