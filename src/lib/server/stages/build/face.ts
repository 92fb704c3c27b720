import { judgeBuildStage } from '$lib/core/stages';
import { buildFacts } from '../../bank-picture/build-records';
import { defineStage } from '../../judgements/stage-face';

export const buildStage = defineStage({ name: 'build', facts: buildFacts, judge: judgeBuildStage });
