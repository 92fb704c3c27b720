import { judgeLimitsStage, type BankPicture, type LatestTest } from '$lib/core/stages';
import { capacityTests } from '../../records';
import { defineStage } from '../stage';

/** The latest capacity test of each battery of a bank. */
async function latestTests({ bank }: BankPicture): Promise<LatestTest[]> {
	const latest = new Map<number, LatestTest>();
	for (const test of await capacityTests.all({ bankId: bank.id })) latest.set(test.battery, test);
	return [...latest.values()];
}

export const limitsStage = defineStage({ name: 'limits', facts: latestTests, judge: judgeLimitsStage });
