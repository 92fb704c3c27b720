import { balanceState, judgeBalanceStage, type BankPicture, type BalanceState } from '$lib/core/stages';
import { balanceReadings } from '../../records';
import { defineStage } from '../stage';

/** Where the balance stands, with the log of the latest run. */
export async function balanceFacts(picture: BankPicture): Promise<BalanceState> {
	const { balanceRun } = picture;
	return balanceState(picture, balanceRun ? await balanceReadings.all({ balanceRunId: balanceRun.id }) : []);
}

export const balanceStage = defineStage({ name: 'balance', facts: balanceFacts, judge: judgeBalanceStage });
