import type { Knex } from 'knex';
import { highestSetV } from '$lib/core/foundation/parallel-charge';
import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import { InputError } from '$lib/input/validate';
import { balanceCells } from '../../records/balance-cells/row';
import { banks } from '../../records/banks/row';
import { cellTypes } from '../../records/cell-types/row';
import type { BalanceRun } from '../../records/balance-runs/row';

/** Cells that sit in a bank now. */
export const placedIn = (bankId: number, tx: Knex): Promise<number[]> =>
	tx('placed').where({ bank_id: bankId, removed_at: null, deleted_at: null }).pluck('cell_id');

/** Cells a bank may take: placed in it, or considered for it. */
async function cellsOf(bankId: number, tx: Knex): Promise<Set<number>> {
	const considered: number[] = await tx('candidates').where({ bank_id: bankId, deleted_at: null }).pluck('cell_id');
	return new Set([...considered, ...(await placedIn(bankId, tx))]);
}

/** Writes down which cells stand in the row of a new balance. @throws InputError for a cell the bank does not have */
export async function standInRow(run: BalanceRun, cellIds: readonly number[] | undefined, tx: Knex): Promise<void> {
	const own = await cellsOf(run.bankId, tx);
	const strange = cellIds?.find((id) => !own.has(id));
	if (strange !== undefined)
		throw new InputError([
			{ path: 'cellIds', message: `cell ${strange} is not one of this bank: pick it for the bank first` }
		]);
	const row = [...new Set(cellIds ?? (await placedIn(run.bankId, tx)))];
	if (row.length)
		await balanceCells.insertMany(
			row.map((cellId) => ({ balanceRunId: run.id, cellId })),
			tx
		);
}

/** @throws InputError for a set voltage that meter and supply could carry past the cells' limit */
export async function checkSetVoltage({ bankId, setV, setVReason }: BalanceRun, tx: Knex): Promise<void> {
	if (setV === null) return;
	const { chemistry, cellTypeId } = await banks.get(bankId, tx);
	const type = cellTypeId === null ? null : await cellTypes.get(cellTypeId, tx);
	const chargeLimitV = type?.chargeLimitV ?? CHEMISTRY_FIGURES[chemistry].chargeLimitV;
	if (setV > chargeLimitV + 1e-9)
		throw new InputError([
			{
				path: 'setV',
				message: `The cells’ charge limit is ${chargeLimitV.toFixed(2)} V: no supply is set above it. You entered ${setV} V.`
			}
		]);
	const mostV = highestSetV({ chemistry, chargeLimitV });
	if (setV > mostV + 1e-9 && !setVReason?.trim())
		throw new InputError([
			{
				path: 'setV',
				message: `Above ${mostV.toFixed(2)} V meter and supply may carry the cells past their limit of ${chargeLimitV.toFixed(2)} V. Lower it, or write down why it is set to ${setV} V (setVReason).`
			}
		]);
}
