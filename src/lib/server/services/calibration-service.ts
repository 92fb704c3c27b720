import { database } from '../db/connection';
import { bankVerdicts } from '../judgements/store';
import { banks, calibrations, verdictChanges } from '../records';

/** A verdict that says something else since a calibration. */
export interface CalibrationChange {
	bankId: number;
	bankName: string;
	stage: string;
	subjectLabel: string;
	/** Titles; null where it is new, or gone. */
	before: string | null;
	now: string | null;
}

const MOST_CHANGES = 200;

/**
 * Every bank judged anew, and what a calibration has changed in their verdicts, the latest first, at most {@link MOST_CHANGES}.
 * @throws ServiceError 404
 */
export async function calibrationChanges(id: number): Promise<{ changes: CalibrationChange[]; more: boolean }> {
	await calibrations.get(id);
	const all = await banks.all({});
	for (const bank of all) await bankVerdicts(bank.id);
	const ids = (await database()('verdict_changes')
		.whereRaw('json_contains(cause, ?)', [JSON.stringify({ kind: 'calibrations', recordId: id })])
		.whereNull('deleted_at')
		.orderBy('id', 'desc')
		.limit(MOST_CHANGES + 1)
		.pluck('id')) as number[];
	const rows = ids.length ? await verdictChanges.all({ id: ids.slice(0, MOST_CHANGES) }) : [];
	const names = new Map(all.map((b) => [b.id, b.name]));
	return {
		changes: rows.reverse().map(({ bankId, stage, subjectLabel, saidBefore, saysNow }) => ({
			...{ bankId, bankName: names.get(bankId) ?? 'a bank', stage, subjectLabel },
			...{ before: saidBefore?.title ?? null, now: saysNow?.title ?? null }
		})),
		more: ids.length > MOST_CHANGES
	};
}
