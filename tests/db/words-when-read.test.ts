import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StageVerdict, Verdict } from '$lib/core/foundation/verdicts';
import { up } from '$lib/server/db/migrations/017-words-when-read';
import { bankSummary, bankVerdicts } from '$lib/server/judgements/store';
import { cells, verdictChanges, type Bank } from '$lib/server/records';
import { freshDatabase } from '../support/database';
import { make } from '../support/records';

let pool: Knex;
let bank: Bank;
beforeAll(async () => {
	pool = await freshDatabase('words_when_read');
	const type = await make<{ id: number }>('cell-types', { name: 'T', chemistry: 'LFP', ratedAh: 100 });
	const layout = { bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 };
	bank = await make<Bank>('banks', { ...layout, name: 'Words', cellTypeId: type.id });
	const box = { bankId: bank.id, name: 'Crate', receivedOn: '2026-03-09', cellCount: 6 };
	const { id } = await make<{ id: number }>('deliveries', box);
	for (const [i, cell] of (await cells.all({ deliveryId: id })).entries()) {
		const rawText = ['3.291', '3.292', '3.290', '3.291', '1.900', '3.250'][i];
		await make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText, takenAt: '2026-03-09T00:00:00Z' });
	}
});
afterAll(() => pool.destroy());

const stored = async () => {
	const row = await pool('bank_judgements').where({ bank_id: bank.id }).first('summary', 'verdicts');
	return { summary: JSON.parse(row.summary), verdicts: JSON.parse(row.verdicts) as Record<string, unknown>[] };
};

describe('a judgement', () => {
	it('is stored as code and facts, and read in words', async () => {
		const read = await bankVerdicts(bank.id);
		expect(read.find((v) => v.code === 'voltage-outlier')!.title).toMatch(/rests 41 mV below/);
		const { verdicts, summary } = await stored();
		for (const v of [...verdicts, summary.first, ...summary.stops]) {
			expect(v).toHaveProperty('facts');
			for (const sentence of ['title', 'finding', 'doubt', 'rule', 'next']) expect(v).not.toHaveProperty(sentence);
		}
		const shown = await bankSummary(bank.id);
		expect(shown.first).toMatchObject({ title: read.find((v) => v.code === shown.first!.code)!.title, facts: {} });
		const stops = read.filter((v) => v.warmth === 'stop').map(({ title, next }) => ({ title, next }));
		expect(stops[0]!.title).toMatch(/1\.9|2\.5/);
		expect(shown.stops).toEqual(stops);
	});
});

describe('what was stored in words before', () => {
	const withoutSentences = (v: Verdict) => Object.keys(v).filter((k) => ['title', 'rule', 'next'].includes(k));
	it('is turned to code and facts, says the same, and keeps the words of a code nobody says any more', async () => {
		const before: StageVerdict[] = await bankVerdicts(bank.id);
		// Its reason was a sentence among its facts once.
		const facts = { context: 'full', reason: 'Marked as full.' };
		const unlike: StageVerdict = { ...before[0]!, code: 'check-not-judged', facts, finding: 'Marked as full.' };
		const told: StageVerdict = { ...before[0]!, code: 'of-long-ago', title: 'Said long ago' };
		const summary = await bankSummary(bank.id);
		const stops = before.filter((v) => v.warmth === 'stop').map(({ title, next }) => ({ title, next }));
		const words = {
			summary: JSON.stringify({ ...summary, stops }),
			verdicts: JSON.stringify([...before, unlike, told])
		};
		await pool('bank_judgements').where({ bank_id: bank.id }).update(words);
		const calm = { ...before.find((v) => v.next !== null)!, warmth: 'calm', next: null };
		const change = { bank_id: bank.id, stage: 'receive', subject_kind: 'cell', subject_id: '1', subject_label: 'C' };
		const stamp = { created_at: new Date(), updated_at: new Date(), changed_at: new Date() };
		await pool('verdict_changes').insert({
			...change,
			...stamp,
			code: calm.code,
			member_ids: '[]',
			cause: '[]',
			said_before: JSON.stringify(calm),
			says_now: JSON.stringify(told)
		});
		const code = before.find((v) => v.next !== null && v.code !== calm.code)!.code;
		const changedWords = before.map((v) => (v.code === code ? { ...v, next: 'As it was worded then.' } : v));
		const first = { ...change, ...stamp, code, member_ids: '[]', cause: '[]', says_now: null };
		const asked = changedWords.find((v) => v.code === code)!;
		const waits = 'First deal with the cell that must not be used (Receive, Inspection). Do not charge before.';
		await pool('verdict_changes').insert([
			{ ...first, said_before: JSON.stringify(asked) },
			{ ...first, said_before: JSON.stringify({ ...asked, next: waits }) }
		]);
		await up(pool);
		const { verdicts } = await stored();
		expect(verdicts.filter((v) => withoutSentences(v as unknown as Verdict).length)).toEqual([]);
		const after = await bankVerdicts(bank.id);
		expect(after).toEqual([...before, unlike, told]);
		expect(await bankSummary(bank.id)).toEqual(summary);
		const [row] = await verdictChanges.all({ bankId: bank.id, code: calm.code });
		expect(row!.saidBefore).toMatchObject({ title: calm.title, warmth: 'calm', next: null });
		expect(row!.saysNow!.title).toBe('Said long ago');
		const today = before.find((v) => v.code === code)!.next;
		const turned = await verdictChanges.all({ bankId: bank.id, code });
		expect(turned.map((c) => c.saidBefore!.next)).toEqual([today, waits]);
	});
});
