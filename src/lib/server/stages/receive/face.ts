import { judgeReceiveStage } from '$lib/core/receive/judge';
import { defineStage } from '../../judgements/stage-face';

export const receiveStage = defineStage({
	name: 'receive',
	facts: async () => new Date().toISOString(),
	judge: judgeReceiveStage
});
