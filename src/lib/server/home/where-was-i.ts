import { buildState } from '$lib/core/build/state';
import { whereWasI, type WhereWasI } from '$lib/core/bank';
import { loadBankPicture } from '../bank-picture/load';
import { database } from '../db/connection';
import { bankSummary } from '../judgements/store';
import { banks } from '../records';
import { balanceFacts } from '../stages/balance/face';
import { buildFacts } from '../bank-picture/build-records';

/** When something was last written of a bank: of its cells, its batteries, its balance, in service. */
const LAST_WORKED = `
	select max(at) as at from (
		select max(r.updated_at) as at from readings r join candidates k on k.cell_id = r.cell_id where k.bank_id = :bank
		union all
		select max(r.updated_at) from runs r join candidates k on k.cell_id = r.cell_id where k.bank_id = :bank
		union all
		select max(x.updated_at) from balance_readings x join balance_runs b on b.id = x.balance_run_id where b.bank_id = :bank
		union all
		select max(updated_at) from balance_runs where bank_id = :bank
		union all
		select max(updated_at) from service_checks where bank_id = :bank
		union all
		select max(x.updated_at) from lead_readings x join batteries b on b.id = x.battery_id where b.bank_id = :bank
		union all
		select max(x.updated_at) from joint_torques x join batteries b on b.id = x.battery_id where b.bank_id = :bank
		union all
		select max(changed_at) from verdict_changes where bank_id = :bank
	) of_all`;

/** Where somebody left a bank, and when they last worked on it; null when nothing was ever written. */
export async function whereBankWasLeft(bankId: number): Promise<WhereWasI & { lastWorkedAt: string | null }> {
	await banks.get(bankId);
	const [[row]] = (await database().raw(LAST_WORKED, { bank: bankId })) as [[{ at: Date | null } | undefined]];
	const picture = await loadBankPicture(bankId);
	const [summary, balance, records] = await Promise.all([
		bankSummary(bankId),
		balanceFacts(picture),
		buildFacts(picture)
	]);
	return { ...whereWasI(summary, balance, buildState(picture, records)), lastWorkedAt: row?.at?.toISOString() ?? null };
}
