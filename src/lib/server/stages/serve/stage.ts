import { judgeServeStage, serveState, type BankPicture, type BatteryService } from '$lib/core/stages';
import { capacityTests, serviceChecks } from '../../records';
import { defineStage } from '../stage';
import { fadeProjection } from './fade-projections';
import { checkJudgement } from './judged-checks';

/** Every battery's years of service. */
export async function serveFacts(
	picture: BankPicture,
	nowIso: string = new Date().toISOString()
): Promise<BatteryService[]> {
	const bankId = picture.bank.id;
	const [checks, tests] = await Promise.all([serviceChecks.all({ bankId }), capacityTests.all({ bankId })]);
	return serveState(picture, { checks, tests, nowIso, project: fadeProjection, judge: checkJudgement });
}

export const serveStage = defineStage({
	name: 'serve',
	facts: (picture) => serveFacts(picture),
	judge: judgeServeStage
});
