import { isBalanced, type BalanceAnswer } from '$lib/core/balance';
import { meterSd } from '$lib/core/reading';
import type { BalanceQuestionInput } from '$lib/input/compute';
import { banks, cellTypes } from '../records';
import { currentMeters } from '../records/settings/settings';

/** Capacity of a cell nobody has named the type of, Ah (default). */
const ASSUMED_CELL_AH = 100;

/** "Is it balanced?" for group voltages read now. */
export async function answerIsBalanced(input: BalanceQuestionInput): Promise<BalanceAnswer> {
	const bank = await banks.get(input.bankId);
	const type = bank.cellTypeId === null ? null : await cellTypes.get(bank.cellTypeId);
	return isBalanced(
		{
			chemistry: bank.chemistry,
			groupVoltagesV: input.groupVoltagesV,
			currentA: input.currentA,
			groupAh: (type?.ratedAh ?? ASSUMED_CELL_AH) * bank.parallel,
			meterSdV: meterSd((await currentMeters()).restVoltage, Math.abs(input.groupVoltagesV[0] ?? 0))
		},
		{ kind: 'bank', id: bank.id, label: bank.name }
	);
}
