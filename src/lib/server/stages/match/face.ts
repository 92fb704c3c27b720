import { judgeMatchStage } from '$lib/core/match/judge';
import { defineStage, noFacts } from '../../judgements/stage-face';

export const matchStage = defineStage({ name: 'match', facts: noFacts, judge: judgeMatchStage });
