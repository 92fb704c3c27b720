import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { refuseRemovalUnderRun } from '../live-runs/under-run';
import { BalanceRunInput } from './input';
import { balanceRuns, type BalanceRun } from './row';

export const balanceRunKind = defineKind<BalanceRun>({
	name: 'balance-runs',
	repository: balanceRuns,
	createInput: BalanceRunInput,
	changeInput: BalanceRunInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	archivedWith: 'bankId',
	async check({ startedAt, endedAt }) {
		if (startedAt && endedAt && endedAt < startedAt)
			throw new InputError([{ path: 'endedAt', message: 'endedAt is before startedAt' }]);
	},
	checkRemoval: ({ id }) => refuseRemovalUnderRun('balance-runs', id),
	banksOf: async ({ bankId }) => [bankId]
});
