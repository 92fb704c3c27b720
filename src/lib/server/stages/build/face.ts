import { judgeBuildStage } from '$lib/core/build/judge';
import { buildFacts } from '../../bank-picture/build-records';
import { defineStage } from '../../judgements/stage-face';

export const buildStage = defineStage({ name: 'build', facts: buildFacts, judge: judgeBuildStage });
