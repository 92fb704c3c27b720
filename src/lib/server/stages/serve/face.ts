import { judgeServeStage } from '$lib/core/serve/judge';
import { serveState, type BatteryService } from '$lib/core/serve/state';
import type { BankPicture } from '$lib/core/picture';
import { capacityTests, serviceChecks } from '../../records';
import { defineStage } from '../../judgements/stage-face';
import { fadeProjection } from './fade-projections';
import { checkJudge, checkJudgeInPassing, type CheckJudge } from './judged-checks';

async function serviceOf(picture: BankPicture, nowIso: string, checked: CheckJudge): Promise<BatteryService[]> {
	const bankId = picture.bank.id;
	const [checks, tests] = await Promise.all([serviceChecks.all({ bankId }), capacityTests.all({ bankId })]);
	return serveState(picture, { checks, tests, nowIso, project: fadeProjection, judge: checked.judge });
}

/** Every battery's years of service, as a page shows them: what was not judged yet says so. */
export async function serveFacts(
	picture: BankPicture,
	nowIso: string = new Date().toISOString()
): Promise<BatteryService[]> {
	return serviceOf(picture, nowIso, await checkJudgeInPassing(picture.bank.id));
}

/** The same with every check judged, and kept for the next time. */
async function judgedService(picture: BankPicture): Promise<BatteryService[]> {
	const checked = await checkJudge(picture.bank.id);
	const service = await serviceOf(picture, new Date().toISOString(), checked);
	await checked.keep();
	return service;
}

export const serveStage = defineStage({
	name: 'serve',
	facts: judgedService,
	judge: judgeServeStage
});
