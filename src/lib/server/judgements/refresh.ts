import type { Knex } from 'knex';
import { WARMTHS, cellsOf, type StageVerdict } from '$lib/core/foundation/verdicts';
import { EDITION, keptVerdict, warmthRank, worded, type BankJudgement, type KeptStageVerdict } from '$lib/core/bank';
import type { KeptSummary } from './summary';
import { loadBankPicture } from '../bank-picture/load';
import { database } from '../db/connection';
import { readingOnce } from '../db/read-once';
import { inTransaction } from '../db/transaction';
import { verdictChanges } from '../records';
import { cellsOfChange, changesBetween } from './changes';
import { judgePicture } from './judge';
import { warningsOfCells } from './warnings-of-cells';

function summaryOf({ stages, current, placed, warmth, verdicts }: BankJudgement): KeptSummary {
	const needing = verdicts.filter((v) => v.warmth !== 'calm');
	const first = [...needing].sort((a, b) => WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth))[0] ?? null;
	return {
		stages,
		current,
		placed,
		warmth,
		first: first && keptVerdict(first),
		needing: needing.length,
		stops: verdicts
			.filter((v) => v.stage === 'receive' && v.warmth === 'stop' && cellsOf(v).length > 0 && !v.setApart)
			.map(keptVerdict)
	};
}

interface CauseRow {
	id: number;
	kind: string;
	record_id: number | null;
	deed: string;
	happened_at: Date;
}

/** Causes kept with a change, at most. */
const MAX_CAUSES = 20;

/** Judges a bank from its picture, keeps what is said now and what changed. @throws ServiceError 404 */
export async function judgeAndKeep(bankId: number): Promise<void> {
	// Read before the picture: what is written meanwhile stays a cause.
	const causes = (await database()('judgement_causes').where({ bank_id: bankId }).orderBy('id')) as CauseRow[];
	const judgement = await readingOnce(async () => judgePicture(await loadBankPicture(bankId)));
	await inTransaction(async (tx) => {
		await tx('bank_judgements').insert({ bank_id: bankId }).onConflict('bank_id').ignore();
		const before = (await tx('bank_judgements')
			.where({ bank_id: bankId })
			.forUpdate()
			.first('edition', 'verdicts')) as { edition: number; verdicts: string | null };
		if (before.verdicts !== null) await keepChanges(bankId, before, judgement, causes, tx);
		await tx('bank_judgements')
			.where({ bank_id: bankId })
			.update({
				edition: EDITION,
				judged_at: new Date(),
				warmth: warmthRank(judgement.warmth),
				summary: JSON.stringify(summaryOf(judgement)),
				verdicts: JSON.stringify(judgement.verdicts.map(keptVerdict)),
				cell_warnings: JSON.stringify(warningsOfCells(judgement.verdicts))
			});
		// Those that were read, and no others: one with a smaller number may have been stored since.
		await tx('judgement_causes')
			.whereIn(
				'id',
				causes.map((c) => c.id)
			)
			.delete();
	});
}

async function keepChanges(
	bankId: number,
	before: { edition: number; verdicts: string | null },
	judgement: BankJudgement,
	causes: readonly CauseRow[],
	tx: Knex
): Promise<void> {
	const changes = changesBetween(
		(JSON.parse(before.verdicts!) as KeptStageVerdict[]).map((v) => worded<StageVerdict>(v)),
		judgement.verdicts
	);
	if (changes.length === 0) return;
	const changedAt = new Date().toISOString();
	const rule = before.edition === EDITION ? 'time' : 'rule';
	const cause = causes.length
		? causes.slice(-MAX_CAUSES).map((c) => ({
				kind: c.kind,
				recordId: c.record_id,
				deed: c.deed,
				happenedAt: c.happened_at.toISOString()
			}))
		: [{ kind: rule, recordId: null, deed: 'change', happenedAt: changedAt }];
	await verdictChanges.insertMany(
		changes.map((change) => {
			const { stage, code, subject } = (change.now ?? change.before)!;
			return {
				bankId,
				stage,
				code,
				subjectKind: subject.kind,
				subjectId: String(subject.id),
				subjectLabel: subject.label.slice(0, 120),
				memberIds: cellsOfChange(change),
				saidBefore: change.before,
				saysNow: change.now,
				cause,
				changedAt
			};
		}),
		tx
	);
}
