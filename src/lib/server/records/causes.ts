import type { Knex } from 'knex';
import type { WriteAction } from './kind';

/** Why a bank has to be judged again. */
export interface Cause {
	/** Kind of record, or settings. */
	kind: string;
	recordId: number | null;
	deed: WriteAction;
}

/** Notes, in the transaction of the write itself, that what was judged of these banks is out of date. */
export async function noteCause(bankIds: readonly number[], cause: Cause, tx: Knex): Promise<void> {
	const rows = [...new Set(bankIds)].map((bankId) => ({
		bank_id: bankId,
		kind: cause.kind,
		record_id: cause.recordId,
		deed: cause.deed,
		happened_at: new Date()
	}));
	if (rows.length) await tx.batchInsert('judgement_causes', rows, 1000);
}
