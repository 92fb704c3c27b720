import type { Recorded } from '../db/repository';
import { InputError } from '$lib/input/validate';
import { balanceReadings, balanceRuns, banks, instruments, rehearsals, type BalanceRun } from '.';
import { refuseUnsafeStart } from '../stages/balance/may-start';
import { benchStateOf, nowOf } from '../rehearsals/bench/bench';

type Body = Record<string, unknown>;
const idsOf = (value: unknown): number[] | null =>
	Array.isArray(value) && value.length > 0 && value.every((id) => Number.isSafeInteger(id)) ? value : null;

/** A row is begun when it has a start and no end: what is written down afterwards is past, and nothing can be refused of it. */
const begins = ({ startedAt, endedAt }: Body) => typeof startedAt === 'string' && endedAt == null;

/** What must hold of the world, not only of the record, before some kinds are written through the API. Throws. */
interface Guard {
	create?(body: Body): Promise<void>;
	/** What the application itself adds to a new record. */
	adds?(body: Body): Promise<Body>;
	change?(id: number, body: Body): Promise<void>;
	restore?(row: Recorded): Promise<void>;
}

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

/** The rehearsal that is on the bench now, else the latest; null where there is none. */
async function rehearsalOnBench(): Promise<number | null> {
	const all = await rehearsals.all({});
	for (const rehearsal of [...all].reverse()) if (await benchStateOf(rehearsal)) return rehearsal.bankId;
	return all.at(-1)?.bankId ?? null;
}

export const GUARDS: Readonly<Record<string, Guard>> = {
	calibrations: {
		/** A simulated meter is another one in each rehearsal: what it was held against says nothing of the next. */
		async adds({ meter }) {
			const [own] = typeof meter === 'string' ? await instruments.all({ name: meter }) : [];
			return own?.bundled ? { bankId: await rehearsalOnBench() } : {};
		}
	},
	'balance-readings': {
		create: (body) => refuseFuture(body, Number(body.balanceRunId)),
		async change(id, body) {
			const reading = await balanceReadings.find(id);
			if (reading) await refuseFuture(body, reading.balanceRunId);
		}
	},
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
