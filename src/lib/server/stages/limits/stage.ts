import { judgeLimitsStage } from '$lib/core/stages';
import { latestTests } from '../latest-tests';
import { defineStage } from '../stage';

export const limitsStage = defineStage({ name: 'limits', facts: latestTests, judge: judgeLimitsStage });
