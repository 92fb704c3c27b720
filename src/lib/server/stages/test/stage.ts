import { judgeTestStage } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

export const testStage = defineStage({ name: 'test', facts: noFacts, judge: judgeTestStage });
