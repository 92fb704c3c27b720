import { judgeMatchStage } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

export const matchStage = defineStage({ name: 'match', facts: noFacts, judge: judgeMatchStage });
