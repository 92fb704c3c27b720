import { defineKind } from '../kind';
import { BalanceReadingInput } from './input';
import { balanceReadings, type BalanceReading } from './row';

export const balanceReadingKind = defineKind<BalanceReading>({
	name: 'balance-readings',
	repository: balanceReadings,
	called: ({ supplyA, readAt }) => `${supplyA.toFixed(1)} A at ${readAt.slice(0, 16).replace('T', ' ')}`,
	createInput: BalanceReadingInput,
	changeInput: BalanceReadingInput,
	parents: { balanceRunId: 'balance-runs' },
	filters: ['balanceRunId'],
	columns: ['id', 'balanceRunId', 'readAt', 'supplyV', 'supplyA', 'cellV', 'deliveredAh'],
	keyed: true,
	archivedWith: 'balanceRunId',
	banksOf: async ({ balanceRunId }, tx) => tx('balance_runs').where({ id: balanceRunId }).pluck('bank_id')
});
