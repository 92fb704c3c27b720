import type { BankPicture, LatestTest } from '$lib/core/stages';
import { capacityTests } from '../records';
import { latestBy } from './latest-by';

/** The latest capacity test of each battery of a bank. */
export const latestTests = async ({ bank }: BankPicture): Promise<LatestTest[]> =>
	latestBy(await capacityTests.all({ bankId: bank.id }), (test) => String(test.battery));
