import { judgeTestStage } from '$lib/core/test/judge';
import { defineStage, noFacts } from '../../judgements/stage-face';

export const testStage = defineStage({ name: 'test', facts: noFacts, judge: judgeTestStage });
