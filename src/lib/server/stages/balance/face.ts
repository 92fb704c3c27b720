import { suppliesForOneCell } from '$lib/core/plan/charging';
import { ASSUMED_SUPPLY, balanceState, type BalanceState, type EarlierSet } from '$lib/core/balance/state';
import { judgeBalanceStage } from '$lib/core/balance/judge';
import type { BankPicture, LoggedReading } from '$lib/core/picture';
import { rowOf } from '../../bank-picture/load';
import { balanceReadings, balanceRuns, plans, type Plan } from '../../records';
import { defineStage } from '../../judgements/stage-face';

/** More sets than that nobody charges one after the other. */
const MAX_SETS = 8;

const logOf = async (balanceRunId: number): Promise<LoggedReading[]> =>
	(await balanceReadings.all({ balanceRunId })).map((r) => ({
		...r,
		stopped: r.stopped === null ? null : Boolean(r.stopped),
		counterAnew: r.counterAnew === null ? null : Boolean(r.counterAnew)
	}));

/** The latest rows that were ended before the one at hand, with their logs: where bars are short a bank is charged in sets. */
async function earlierSets({ bank, balanceRun }: BankPicture): Promise<EarlierSet[]> {
	const before = (await balanceRuns.all({ bankId: bank.id }))
		.filter((r) => r.id !== balanceRun?.id && r.endedAt !== null && r.startedAt !== null)
		.slice(-MAX_SETS);
	return Promise.all(
		before.map(async (run) => ({
			// How full they were when it began is past.
			run: { ...run, cells: (await rowOf(run.id)).map((cell) => ({ ...cell, rest: null })) },
			readings: await logOf(run.id)
		}))
	);
}

/** The strongest supply of the plan that charges one cell: nobody needs to be asked for it again. */
function supplyOf({ chemistry }: BankPicture['bank'], plan: Plan | undefined): BalanceState['supply'] {
	const [strongest] = suppliesForOneCell(chemistry, plan?.supplies ?? []);
	return strongest ? { supplyA: strongest.a, leadOhm: strongest.leadOhm, setV: null } : ASSUMED_SUPPLY;
}

/** Where the balance stands, with the log of the latest run. @param chosen cells for one still to be planned */
export async function balanceFacts(
	picture: BankPicture,
	chosen: readonly number[] | null = null,
	nowIso = new Date().toISOString()
): Promise<BalanceState> {
	const { balanceRun } = picture;
	const readings = balanceRun ? await logOf(balanceRun.id) : [];
	const [sets, [plan]] = await Promise.all([earlierSets(picture), plans.all({ bankId: picture.bank.id })]);
	return balanceState(picture, readings, nowIso, chosen, sets, supplyOf(picture.bank, plan));
}

export const balanceStage = defineStage({
	name: 'balance',
	facts: (picture) => balanceFacts(picture),
	judge: judgeBalanceStage
});
