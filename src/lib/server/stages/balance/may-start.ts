import { balanceState, startRefusals } from '$lib/core/balance/state';
import { InputError } from '$lib/input/validate';
import { loadBankPicture } from '../../bank-picture/load';
import { database } from '../../db/connection';
import { balanceCells, liveRuns } from '../../records';
import { refuseWhileLinked } from './linked';

/** Charges and tests that drive one of these cells now, other than this row. */
async function busyCells(
	cellIds: readonly number[],
	exceptRunId: number | null
): Promise<{ label: string; where: string }[]> {
	if (cellIds.length === 0) return [];
	const rows = await database()('balance_cells as c')
		.join('balance_runs as r', 'r.id', 'c.balance_run_id')
		.join('banks as b', 'b.id', 'r.bank_id')
		.join('cells as x', 'x.id', 'c.cell_id')
		.whereIn('c.cell_id', [...cellIds])
		.whereNotNull('r.started_at')
		.where({ 'r.ended_at': null, 'r.deleted_at': null, 'c.deleted_at': null, 'b.deleted_at': null })
		.modify((query) => (exceptRunId === null ? query : query.whereNot('r.id', exceptRunId)))
		.select('x.label as label', 'b.name as bank');
	const testing = (await liveRuns.all({ state: 'running' })).filter(
		(run) => run.cellId !== null && cellIds.includes(run.cellId)
	);
	const labels: { id: number; label: string }[] = testing.length
		? await database()('cells')
				.whereIn(
					'id',
					testing.map((t) => t.cellId!)
				)
				.select('id', 'label')
		: [];
	return [
		...rows.map(({ label, bank }: { label: string; bank: string }) => ({ label, where: `a balance of ${bank}` })),
		...labels.map(({ label }) => ({ label, where: 'a live test' }))
	];
}

/**
 * @param cellIds of a row that is still to be made; null: those of `runId`, or all placed cells
 * @param runId the row whose supply is to go on; null: it is made now
 * @throws InputError 422 naming everything that is missing before the supply of a row may be switched on
 */
export async function refuseUnsafeStart(
	bankId: number,
	runId: number | null,
	cellIds: readonly number[] | null,
	nowIso = new Date().toISOString()
): Promise<void> {
	// A link that is still in makes a short circuit of any row: said first.
	await refuseWhileLinked(bankId);
	const picture = await loadBankPicture(bankId);
	const asked = runId === null ? { ...picture, balanceRun: null } : picture;
	const state = balanceState(asked, [], nowIso, cellIds);
	const ids =
		runId === null
			? state.cells.map((c) => c.id)
			: (await balanceCells.all({ balanceRunId: runId })).map((c) => c.cellId);
	const refusals = startRefusals(asked, state, nowIso, await busyCells(ids, runId));
	if (refusals.length) throw new InputError(refusals);
}
