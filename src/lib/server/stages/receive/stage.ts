import { judgeReceiveStage } from '$lib/core/stages';
import { defineStage } from '../stage';

export const receiveStage = defineStage({
	name: 'receive',
	facts: async () => new Date().toISOString(),
	judge: judgeReceiveStage
});
