import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { BalanceRunInput, NewBalanceRunInput } from './input';
import { balanceRuns, type BalanceRun } from './row';

export const balanceRunKind = defineKind<BalanceRun>({
	name: 'balance-runs',
	repository: balanceRuns,
	called: ({ createdAt }) => createdAt.slice(0, 10),
	createInput: NewBalanceRunInput,
	changeInput: BalanceRunInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	archivedWith: 'bankId',
	prepare: async ({ cellIds: _, ...fields }: NewBalanceRunInput) => fields,
	async check({ startedAt, endedAt }) {
		if (startedAt && endedAt && endedAt < startedAt)
			throw new InputError([{ path: 'endedAt', message: 'endedAt is before startedAt' }]);
	},
	banksOf: async ({ bankId }) => [bankId]
});
