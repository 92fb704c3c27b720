import type { Knex } from 'knex';
import { keptFromWords, worded, type KeptVerdict } from '$lib/core/bank';
import type { Verdict } from '$lib/core/foundation/verdicts';

/** So many changes are turned at once. */
const BATCH = 500;

/** A verdict as it was stored: with its sentences, and perhaps without the next step its words would give. */
type Old = Verdict & { stage?: string };

/** What all verdicts of a battery asked while one of its cells must not be used. */
const AFTER_STOP = 'First deal with the cell that must not be used (Receive, Inspection). Do not charge before.';

/** Code and facts alone; sentences of a code that is no longer said stay as they are. */
function turned(old: Old): KeptVerdict {
	const kept = keptFromWords(old);
	if (kept.wordsThen || old.next === worded<Verdict>(kept).next) return kept;
	// A next step that was only worded otherwise is told in the words of today.
	if (old.next === null) return { ...kept, asks: 'nothing' };
	return old.next === AFTER_STOP ? { ...kept, asks: 'after-stop' } : kept;
}

const turnedText = (text: string | null): string | null =>
	text === null ? null : JSON.stringify(turned(JSON.parse(text) as Old));

async function turnChanges(knex: Knex): Promise<void> {
	for (let after = 0; ;) {
		const rows = (await knex('verdict_changes')
			.where('id', '>', after)
			.orderBy('id')
			.limit(BATCH)
			.select('id', 'said_before', 'says_now')) as {
			id: number;
			said_before: string | null;
			says_now: string | null;
		}[];
		for (const { id, said_before, says_now } of rows)
			await knex('verdict_changes')
				.where({ id })
				.update({ said_before: turnedText(said_before), says_now: turnedText(says_now) });
		if (rows.length < BATCH) return;
		after = rows.at(-1)!.id;
	}
}

interface Summary {
	first: Old | null;
	stops?: readonly { title: string }[];
}

/** The summary of then named its first verdict and the stops by their words: they are found again among the verdicts. */
function turnedSummary(text: string, verdicts: readonly Old[]): string {
	const { first, stops = [], ...rest } = JSON.parse(text) as Summary;
	const same = (a: Old, b: Old) =>
		a.stage === b.stage && a.code === b.code && a.subject.kind === b.subject.kind && a.subject.id === b.subject.id;
	const whole = first && verdicts.find((v) => same(v, first));
	const stopping = stops.flatMap(({ title }) => verdicts.find((v) => v.warmth === 'stop' && v.title === title) ?? []);
	return JSON.stringify({ ...rest, first: whole ? turned(whole) : null, stops: stopping.map(turned) });
}

async function turnJudgements(knex: Knex): Promise<void> {
	const banks = (await knex('bank_judgements').pluck('bank_id')) as number[];
	for (const bank_id of banks) {
		const row = (await knex('bank_judgements').where({ bank_id }).first('summary', 'verdicts')) as {
			summary: string | null;
			verdicts: string | null;
		};
		if (row.summary === null || row.verdicts === null) continue;
		const verdicts = JSON.parse(row.verdicts) as Old[];
		await knex('bank_judgements')
			.where({ bank_id })
			.update({
				summary: turnedSummary(row.summary, verdicts),
				verdicts: JSON.stringify(verdicts.map(turned)),
				// Read from the verdicts until it is judged again.
				cell_warnings: null
			});
	}
}

/** Words are made when read: what was judged, and what was said before, is stored as code and facts. */
export async function up(knex: Knex): Promise<void> {
	await turnJudgements(knex);
	await turnChanges(knex);
}
