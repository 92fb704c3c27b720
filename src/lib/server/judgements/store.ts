import type { Knex } from 'knex';
import { WARMTHS, type Stage, type StageStatus, type Warmth } from '$lib/core/shared';
import { EDITION, warmthRank, type BankJudgement } from '$lib/core/stages';
import type { StageVerdict } from '$lib/core/verdicts';
import { loadBankPicture } from '../bank-picture/load';
import { database } from '../db/connection';
import { inTransaction } from '../db/transaction';
import { verdictChanges } from '../records';
import { cellsOfChange, changesBetween } from './changes';
import { judgePicture } from './judge';

/** What Home and the rail show of a bank. */
export interface BankSummary {
	stages: StageStatus[];
	current: Stage;
	placed: boolean;
	warmth: Warmth;
	/** The warmest verdict that asks for something, null when none does; and how many do. */
	first: StageVerdict | null;
	needing: number;
}

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

const refreshing = new Map<number, Promise<void>>();

/** Judges a bank again; whoever asks meanwhile waits for the same. */
export function refreshJudgement(bankId: number): Promise<void> {
	const going = refreshing.get(bankId);
	if (going) return going;
	const begun = refresh(bankId).finally(() => refreshing.delete(bankId));
	refreshing.set(bankId, begun);
	return begun;
}

function summaryOf({ stages, current, placed, warmth, verdicts }: BankJudgement): BankSummary {
	const needing = verdicts.filter((v) => v.warmth !== 'calm');
	const first = [...needing].sort((a, b) => WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth))[0] ?? null;
	// Home names the first thing to do; the cells it speaks of, and what it stands on, are on its page.
	return {
		stages,
		current,
		placed,
		warmth,
		first: first && { ...first, members: [], facts: {} },
		needing: needing.length
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
const MOST_CAUSES = 20;

async function refresh(bankId: number): Promise<void> {
	// Read before the picture: what is written meanwhile stays a cause.
	const causes = (await database()('judgement_causes').where({ bank_id: bankId }).orderBy('id')) as CauseRow[];
	const judgement = await judgePicture(await loadBankPicture(bankId));
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
				verdicts: JSON.stringify(judgement.verdicts)
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
	const changes = changesBetween(JSON.parse(before.verdicts!) as StageVerdict[], judgement.verdicts);
	if (changes.length === 0) return;
	const changedAt = new Date().toISOString();
	const rule = before.edition === EDITION ? 'time' : 'rule';
	const cause = causes.length
		? causes.slice(-MOST_CAUSES).map((c) => ({
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

async function fresh<What extends 'summary' | 'verdicts'>(bankId: number, what: What): Promise<string> {
	for (let tries = 0; ; tries++) {
		const row = await readRow(bankId, what);
		// A bank somebody writes to all the time is shown as it was judged a moment ago.
		if (isFresh(row) || (tries >= 2 && row?.[what])) return row[what]!;
		await refreshJudgement(bankId);
	}
}

/** What Home and the rail show of a bank, judged again when something was written since. @throws ServiceError 404 */
export const bankSummary = async (bankId: number): Promise<BankSummary> =>
	JSON.parse(await fresh(bankId, 'summary')) as BankSummary;

/** Every verdict of a bank, or those of one stage, in the order of the stages. @throws ServiceError 404 */
export async function bankVerdicts(bankId: number, stage: Stage | null = null): Promise<StageVerdict[]> {
	const all = JSON.parse(await fresh(bankId, 'verdicts')) as StageVerdict[];
	return stage === null ? all : all.filter((v) => v.stage === stage);
}

/** What was said of a bank last, however long ago; a bank that was never judged has no verdicts. */
export async function verdictsSaidLast(bankId: number): Promise<StageVerdict[]> {
	const row = (await database()('bank_judgements').where({ bank_id: bankId }).first('verdicts')) as
		{ verdicts: string | null } | undefined;
	return row?.verdicts ? (JSON.parse(row.verdicts) as StageVerdict[]) : [];
}

/** Banks, not put away, whose judgement is out of date. */
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
		.orderBy('banks.id')
		.pluck('banks.id');
}
