import { ServiceError } from '../../errors';
import { balanceRuns } from '../balance-runs/row';
import { defineKind } from '../kind';
import { BalanceCellInput } from './input';
import { balanceCells, type BalanceCellRow } from './row';

export const balanceCellKind = defineKind<BalanceCellRow>({
	name: 'balance-cells',
	repository: balanceCells,
	createInput: BalanceCellInput,
	changeInput: null,
	storedInput: BalanceCellInput,
	parents: { balanceRunId: 'balance-runs', cellId: 'cells' },
	filters: ['balanceRunId', 'cellId'],
	columns: ['id', 'balanceRunId', 'cellId'],
	archivedWith: 'balanceRunId',
	async checkRemoval({ balanceRunId }, tx) {
		const run = await balanceRuns.get(balanceRunId, tx);
		if (run.startedAt && !run.endedAt)
			throw new ServiceError(
				409,
				'running',
				'This row is being charged: end the balance before a cell is taken out of it.'
			);
	},
	banksOf: async ({ balanceRunId }, tx) => tx('balance_runs').where({ id: balanceRunId }).pluck('bank_id')
});
