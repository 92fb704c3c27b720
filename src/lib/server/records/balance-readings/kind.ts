import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import { InputError } from '$lib/input/validate';
import { balanceRuns } from '../balance-runs/row';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { BalanceReadingInput } from './input';
import { balanceReadings, type BalanceReading } from './row';

/** Above this share of its charge limit no cell stands, whatever was done to it. */
const NO_CELL_ABOVE = 1.2;

export const balanceReadingKind = defineKind<BalanceReading>({
	name: 'balance-readings',
	repository: balanceReadings,
	called: ({ supplyA, readAt }) => `${supplyA.toFixed(1)} A at ${readAt.slice(0, 16).replace('T', ' ')}`,
	createInput: BalanceReadingInput,
	changeInput: BalanceReadingInput,
	parents: { balanceRunId: 'balance-runs' },
	filters: ['balanceRunId'],
	columns: ['id', 'balanceRunId', 'readAt', 'supplyV', 'supplyA', 'cellV', 'deliveredAh', 'counterAnew'],
	keyed: true,
	archivedWith: 'balanceRunId',
	async check({ cellV, supplyV, balanceRunId }, tx, before) {
		const same = (cellV === null || cellV === before?.cellV) && (supplyV === null || supplyV === before?.supplyV);
		if (same) return;
		const { bankId } = await balanceRuns.get(balanceRunId, tx);
		const { chemistry } = await banks.get(bankId, tx);
		const mostV = NO_CELL_ABOVE * CHEMISTRY_FIGURES[chemistry].chargeLimitV;
		const { nominalV } = CHEMISTRY_FIGURES[chemistry];
		if (supplyV !== null && supplyV > mostV)
			throw new InputError([
				{
					path: 'supplyV',
					message: `${supplyV} V is about ${Math.round(supplyV / nominalV)} cells in series: this row stands in parallel, at the voltage of one cell. Is the row wired in parallel, and the decimal point right?`
				}
			]);
		if (cellV !== null && cellV > mostV)
			throw new InputError([
				{
					path: 'cellV',
					message: `cellV requires the voltage at one cell of the row, at most ${mostV.toFixed(1)} V; got ${cellV} V. Is the decimal point right?`
				}
			]);
	},
	banksOf: async ({ balanceRunId }, tx) => tx('balance_runs').where({ id: balanceRunId }).pluck('bank_id')
});
