import { database } from '../db/connection';
import { refreshSoon } from '../judgements/behind';
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

const MAX_CHANGES = 200;
/** Whoever asks waits for the judging so long at most, ms. */
const PATIENCE_MS = 1500;

/**
 * What a calibration has changed in the verdicts of all banks, the latest first, at most {@link MAX_CHANGES}. Banks that are
 * out of date are judged first; `beingJudged` says how many of them are not done yet and may add to the list.
 * @throws ServiceError 404
 */
export async function calibrationChanges(
	id: number,
	patienceMs = PATIENCE_MS
): Promise<{ changes: CalibrationChange[]; more: boolean; beingJudged: number }> {
	await calibrations.get(id);
	const all = await banks.all({});
	const beingJudged = await refreshSoon(patienceMs);
	const ids = (await database()('verdict_changes')
		.whereRaw('json_contains(cause, ?)', [JSON.stringify({ kind: 'calibrations', recordId: id })])
		.whereNull('deleted_at')
		.orderBy('id', 'desc')
		.limit(MAX_CHANGES + 1)
		.pluck('id')) as number[];
	const rows = ids.length ? await verdictChanges.all({ id: ids.slice(0, MAX_CHANGES) }) : [];
	const names = new Map(all.map((b) => [b.id, b.name]));
	return {
		changes: rows.reverse().map(({ bankId, stage, subjectLabel, saidBefore, saysNow }) => ({
			bankId,
			bankName: names.get(bankId) ?? 'a bank',
			stage,
			subjectLabel,
			before: saidBefore?.title ?? null,
			now: saysNow?.title ?? null
		})),
		more: ids.length > MAX_CHANGES,
		beingJudged: beingJudged.length
	};
}
