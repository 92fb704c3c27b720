import { judgeLimitsStage } from '$lib/core/limits/judge';
import { defineStage, noFacts } from '../../judgements/stage-face';

export const limitsStage = defineStage({ name: 'limits', facts: noFacts, judge: judgeLimitsStage });
