import type { Recorded } from '../db/repository';
import { balanceRuns, banks, type BalanceRun } from '../records';
import { refuseUnsafeStart } from '../stages/balance/may-start';
import { nowOf } from './rehearsal-bench';

type Body = Record<string, unknown>;
const idsOf = (value: unknown): number[] | null =>
	Array.isArray(value) && value.length > 0 && value.every((id) => Number.isSafeInteger(id)) ? value : null;

/** A row is begun when it has a start and no end: what is written down afterwards is past, and nothing can be refused of it. */
const begins = ({ startedAt, endedAt }: Body) => typeof startedAt === 'string' && endedAt == null;

/** What must hold of the world, not only of the record, before some kinds are written through the API. Throws. */
interface Guard {
	create?(body: Body): Promise<void>;
	change?(id: number, body: Body): Promise<void>;
	restore?(row: Recorded): Promise<void>;
}

export const GUARDS: Readonly<Record<string, Guard>> = {
	'balance-runs': {
		async create(body) {
			const bank = Number.isSafeInteger(body.bankId) ? await banks.find(body.bankId as number) : null;
			if (!begins(body) || !bank || bank.deletedAt) return;
			await refuseUnsafeStart(bank.id, null, idsOf(body.cellIds), (await nowOf(bank)).toISOString());
		},
		async change(id, body) {
			const run = await balanceRuns.find(id);
			if (!run || run.deletedAt || run.startedAt || !begins({ ...run, ...body })) return;
			const bank = await banks.get(run.bankId);
			await refuseUnsafeStart(run.bankId, id, null, (await nowOf(bank)).toISOString());
		},
		async restore(row) {
			const { bankId, startedAt, endedAt, id } = row as BalanceRun;
			if (!begins({ startedAt, endedAt })) return;
			const bank = await banks.get(bankId);
			await refuseUnsafeStart(bankId, id, null, (await nowOf(bank)).toISOString());
		}
	}
};
