import { balanceState, judgeBalanceStage, type BankPicture, type BalanceState } from '$lib/core/stages';
import { balanceReadings } from '../../records';
import { defineStage } from '../stage';

/** Where the balance stands, with the log of the latest run. @param chosen cells for one still to be planned */
export async function balanceFacts(
	picture: BankPicture,
	chosen: readonly number[] | null = null
): Promise<BalanceState> {
	const { balanceRun } = picture;
	const readings = balanceRun ? await balanceReadings.all({ balanceRunId: balanceRun.id }) : [];
	return balanceState(picture, readings, chosen);
}

export const balanceStage = defineStage({
	name: 'balance',
	facts: (picture) => balanceFacts(picture),
	judge: judgeBalanceStage
});
