import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { refuseRemovalUnderRun } from '../live-runs/under-run';
import { refuseWhileLinked } from '../method-runs/follow';
import { BalanceRunInput, NewBalanceRunInput } from './input';
import { checkSetVoltage, standInRow } from './row-of-cells';
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
	async check(run, tx, before) {
		const { startedAt, endedAt } = run;
		if (startedAt && !endedAt && !before?.startedAt) await refuseWhileLinked(run.bankId, tx);
		if (run.setV !== (before?.setV ?? null) || run.setVReason !== (before?.setVReason ?? null))
			await checkSetVoltage(run, tx);
		if (startedAt && endedAt && endedAt < startedAt)
			throw new InputError([{ path: 'endedAt', message: 'endedAt is before startedAt' }]);
	},
	async after(run, tx, deed, fields) {
		if (deed === 'create') await standInRow(run, fields.cellIds as number[] | undefined, tx);
	},
	checkRemoval: ({ id }) => refuseRemovalUnderRun('balance-runs', id),
	banksOf: async ({ bankId }) => [bankId]
});
