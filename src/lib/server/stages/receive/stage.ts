import { judgeReceiveStage } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

export const receiveStage = defineStage({ name: 'receive', facts: noFacts, judge: judgeReceiveStage });
