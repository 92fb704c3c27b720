import { InputError } from '$lib/input/validate';
import { balanceReadings, balanceRuns, banks, type BalanceRun } from '../../records';
import { defineHooks, type HooksByKind } from '../../records/hooks';
import type { Fields } from '../../records/kind';
import { nowOf } from '../../rehearsals/bench/bench';
import { refuseWhileLinked } from './linked';
import { refuseUnsafeStart } from './may-start';
import { checkSetVoltage, standInRow } from './row-of-cells';

type Body = Fields;
const idsOf = (value: unknown): number[] | null =>
	Array.isArray(value) && value.length > 0 && value.every((id) => Number.isSafeInteger(id)) ? value : null;

/** A row is begun when it has a start and no end: what is written down afterwards is past, and nothing can be refused of it. */
const begins = ({ startedAt, endedAt }: Body) => typeof startedAt === 'string' && endedAt == null;

/** Clocks of a phone and of this computer may differ by so much, ms. */
const CLOCKS_DIFFER_MS = 10 * 60_000;

/** What was read cannot be read later than now. @throws InputError */
async function refuseFuture({ readAt }: Body, balanceRunId: number): Promise<void> {
	if (typeof readAt !== 'string' || !Number.isSafeInteger(balanceRunId)) return;
	const run = await balanceRuns.find(balanceRunId);
	const bank = run && (await banks.find(run.bankId));
	if (!bank) return;
	const nowMs = (await nowOf(bank)).getTime();
	if (Date.parse(readAt) > Math.max(nowMs, Date.now()) + CLOCKS_DIFFER_MS)
		throw new InputError([{ path: 'readAt', message: 'This time has not come yet. Enter when it was read.' }]);
}

/** A row is charged only as it may be, and nothing is read before it happens. */
export const BALANCE_HOOKS: HooksByKind = {
	'balance-readings': {
		beforeCreate: (body) => refuseFuture(body, Number(body.balanceRunId)),
		async beforeChange(id, body) {
			const reading = await balanceReadings.find(id);
			if (reading) await refuseFuture(body, reading.balanceRunId);
		}
	},
	'balance-runs': defineHooks<BalanceRun>({
		async beforeCreate(body) {
			const bank = Number.isSafeInteger(body.bankId) ? await banks.find(body.bankId as number) : null;
			if (!begins(body) || !bank || bank.deletedAt) return;
			await refuseUnsafeStart(bank.id, null, idsOf(body.cellIds), (await nowOf(bank)).toISOString());
		},
		async beforeChange(id, body) {
			const run = await balanceRuns.find(id);
			if (!run || run.deletedAt || run.startedAt || !begins({ ...run, ...body })) return;
			const bank = await banks.get(run.bankId);
			await refuseUnsafeStart(run.bankId, id, null, (await nowOf(bank)).toISOString());
		},
		async beforeRestore({ bankId, startedAt, endedAt, id }) {
			if (!begins({ startedAt, endedAt })) return;
			const bank = await banks.get(bankId);
			await refuseUnsafeStart(bankId, id, null, (await nowOf(bank)).toISOString());
		},
		async check(run, tx, before) {
			const { startedAt, endedAt } = run;
			if (startedAt && !endedAt && !before?.startedAt) await refuseWhileLinked(run.bankId, tx);
			if (run.setV !== (before?.setV ?? null) || run.setVReason !== (before?.setVReason ?? null))
				await checkSetVoltage(run, tx);
		},
		async after(run, tx, deed, fields) {
			if (deed === 'create') await standInRow(run, fields.cellIds as number[] | undefined, tx);
		}
	})
};
