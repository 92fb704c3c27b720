import { WARMTHS, type Stage, type StageVerdict } from '$lib/core/foundation/verdicts';
import { EDITION, worded, type KeptStageVerdict } from '$lib/core/bank';
import { database } from '../db/connection';
import { judgeElsewhere } from './elsewhere';
import { summaryInWords, type BankSummary } from './summary';
import { inWords, warningsOfCells, type CellWarning, type KeptWarning } from './warnings-of-cells';

export type { BankSummary } from './summary';

interface JudgementRow {
	edition: number;
	judged_at: Date | null;
	summary: string | null;
	verdicts: string | null;
	causes: number;
}

/** What was judged longer ago is judged again: years pass, and nobody writes anything. */
const FRESH_FOR_MS = 24 * 3600e3;

const isFresh = (row: JudgementRow | undefined): row is JudgementRow & { summary: string; verdicts: string } =>
	row !== undefined &&
	row.summary !== null &&
	row.causes === 0 &&
	row.edition === EDITION &&
	row.judged_at !== null &&
	Date.now() - row.judged_at.getTime() < FRESH_FOR_MS;

const readRow = (bankId: number, what: 'summary' | 'verdicts'): Promise<JudgementRow | undefined> =>
	database()('bank_judgements')
		.where({ bank_id: bankId })
		.first('edition', 'judged_at', 'summary', what, {
			causes: database()('judgement_causes').where({ bank_id: bankId }).count('*')
		});

/** Whether what is said of a bank is up to date. */
export const isJudged = async (bankId: number): Promise<boolean> => isFresh(await readRow(bankId, 'summary'));

const refreshing = new Map<number, Promise<void>>();

/** Judges a bank again; whoever asks meanwhile waits for the same. */
export function refreshJudgement(bankId: number): Promise<void> {
	const going = refreshing.get(bankId);
	if (going) return going;
	const begun = judgeElsewhere(bankId).finally(() => refreshing.delete(bankId));
	refreshing.set(bankId, begun);
	return begun;
}

/** Whoever asks waits so long for a bank to be judged anew; then what was said before is told, and that it is. */
const PATIENCE_MS = 4000;

/** Tells when so many ms have gone. @param signal ends it before */
export const waited = (ms: number, signal: AbortSignal): Promise<'late'> =>
	new Promise((resolve) => {
		const timer = setTimeout(resolve, ms, 'late');
		signal.addEventListener('abort', () => clearTimeout(timer));
	});

/** Whether a judgement was ready in time. */
async function refreshedWithin(bankId: number, patienceMs: number): Promise<boolean> {
	const over = new AbortController();
	try {
		return (await Promise.race([refreshJudgement(bankId), waited(patienceMs, over.signal)])) !== 'late';
	} finally {
		over.abort();
	}
}

async function fresh<What extends 'summary' | 'verdicts'>(
	bankId: number,
	what: What
): Promise<{ text: string; beingJudged: boolean }> {
	for (let tries = 0; ; tries++) {
		const row = await readRow(bankId, what);
		// A bank somebody writes to all the time is shown as it was judged a moment ago.
		if (isFresh(row) || (tries >= 2 && row?.[what])) return { text: row[what]!, beingJudged: false };
		// Of what was never judged there is nothing to show meanwhile.
		if (row?.[what]) {
			if (!(await refreshedWithin(bankId, PATIENCE_MS))) return { text: row[what], beingJudged: true };
		} else await refreshJudgement(bankId);
	}
}

/** What is shown of a bank, and whether it is of before, because it is still being judged anew. */
export interface ShownSummary extends BankSummary {
	beingJudged: boolean;
}

/** What Home and the rail show of a bank, judged again when something was written since. @throws ServiceError 404 */
export async function bankSummary(bankId: number): Promise<ShownSummary> {
	const { text, beingJudged } = await fresh(bankId, 'summary');
	return { ...summaryInWords(text), beingJudged };
}

/** Every verdict of a bank, or those of one stage, in the order of the stages; and whether they are of before. @throws ServiceError 404 */
export async function shownVerdicts(
	bankId: number,
	stage: Stage | null = null
): Promise<{ items: StageVerdict[]; beingJudged: boolean }> {
	const { text, beingJudged } = await fresh(bankId, 'verdicts');
	const all = JSON.parse(text) as KeptStageVerdict[];
	return {
		items: all.filter((v) => stage === null || v.stage === stage).map((v) => worded<StageVerdict>(v)),
		beingJudged
	};
}

/** As {@link shownVerdicts}, the verdicts alone. @throws ServiceError 404 */
export const bankVerdicts = async (bankId: number, stage: Stage | null = null): Promise<StageVerdict[]> =>
	(await shownVerdicts(bankId, stage)).items;

/** What was said last of the single cells of some banks, however long ago, the warmest of each by cell id. */
export async function warningsSaidLast(bankIds: readonly number[]): Promise<Map<number, CellWarning>> {
	const rows = (await database()('bank_judgements')
		.whereIn('bank_id', [...new Set(bankIds)])
		.orderBy('bank_id')
		.select('cell_warnings')
		// What was judged before they were kept apart is read whole.
		.select(database().raw('if(cell_warnings is null, verdicts, null) as verdicts'))) as {
		cell_warnings: string | null;
		verdicts: string | null;
	}[];
	const warnings = new Map<number, CellWarning>();
	for (const row of rows) {
		const own = row.cell_warnings
			? (JSON.parse(row.cell_warnings) as Record<number, KeptWarning>)
			: warningsOfCells(JSON.parse(row.verdicts ?? '[]') as KeptStageVerdict[]);
		for (const [id, warning] of Object.entries(own)) {
			const known = warnings.get(Number(id));
			if (!known || WARMTHS.indexOf(known.warmth) < WARMTHS.indexOf(warning.warmth))
				warnings.set(Number(id), inWords(warning));
		}
	}
	return warnings;
}

/** Banks, not put away, whose judgement is out of date; those that were judged last, and so looked at last, first. */
export async function staleBanks(): Promise<number[]> {
	const db = database();
	return db('banks')
		.leftJoin('bank_judgements', 'bank_judgements.bank_id', 'banks.id')
		.whereNull('banks.deleted_at')
		.where((q) =>
			q
				.whereNull('bank_judgements.summary')
				.orWhereNot('bank_judgements.edition', EDITION)
				.orWhere('bank_judgements.judged_at', '<', new Date(Date.now() - FRESH_FOR_MS))
				.orWhereIn('banks.id', db('judgement_causes').distinct('bank_id'))
		)
		.orderBy('bank_judgements.judged_at', 'desc')
		.orderBy('banks.id')
		.pluck('banks.id');
}
