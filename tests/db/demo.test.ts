import type { Knex } from 'knex';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { clearRecords, loadDemo } from '$demo/load';
import { banks } from '$lib/server/records';
import { bankVerdicts } from '$lib/server/judgements/store';
import { homeOverview } from '$lib/server/home/overview';
import { expectOneVoice } from '../support/consistency';
import { freshDatabase } from '../support/database';
import { capacitiesOf, serveOf, traysOf } from '../support/records';

let pool: Knex;
const now = new Date('2026-06-01T09:00:00Z');
beforeAll(async () => {
	pool = await freshDatabase('demo');
	await loadDemo(now);
});
afterAll(() => pool.destroy());

const idOf = async (name: string) => (await banks.all({ name }))[0]!.id;

it('shows every kind of verdict on cells and years', async () => {
	const receive = (await traysOf(await idOf('Heronry')))[0]!.verdicts.map((v) => v.code);
	expect(receive).toEqual([
		...['deep-discharged', 'voltage-outlier', 'resistance-outlier', 'resistance-over-promise'],
		...['not-read', 'charge-unknown'],
		...['inspection-look', 'inspection-unsure', 'not-inspected', 'code-older-than-promised', 'age-at-arrival']
	]);
	const outcomes = (await capacitiesOf(await idOf('Cogwheel'))).map((c) => c.judgement?.outcome);
	expect(new Set(outcomes)).toEqual(new Set(['short', 'unsure', 'meets']));
	const serve = await serveOf(await idOf('Damson Rise'), now.toISOString());
	expect(serve.verdicts.map((v) => v.code)).toEqual(['drift', 'check-not-judged', 'drift-grows', 'fade']);
});
it('finds again what was hidden: the short cell, the leaking group, the age of the end', async () => {
	const capacities = await capacitiesOf(await idOf('Cogwheel'));
	expect(capacities[3]!.capacityAh).toBeGreaterThan(98);
	expect(capacities[3]!.capacityAh).toBeLessThan(102.5);
	const { driftPerMonthAh, projection } = await serveOf(await idOf('Damson Rise'), now.toISOString());
	expect(driftPerMonthAh[9]!.ahPerMonth).toBeCloseTo(-0.85 / 12, 1);
	// 1.015 − 0.021·√t − 0.007·t = 0.8 at t = 18.2 years
	expect(projection!.endAgeYears.low95).toBeLessThan(18.2);
	expect(projection!.endAgeYears.high95).toBeGreaterThan(18.2);
});
it('has banks at different stages, one with something running, warmest first', async () => {
	// Home waits for no judging that takes long: here it is waited for.
	for (const { id } of await banks.all({})) await bankVerdicts(id, 'plan');
	const { real } = await homeOverview(new URLSearchParams(), Infinity);
	expect(real.map((o) => [o.name, o.current])).toEqual([
		['Heronry', 'receive'],
		['Fenwatch', 'plan'],
		['Damson Rise', 'serve'],
		['Cogwheel', 'balance']
	]);
	expect(real.filter((o) => o.running.length).map((o) => o.name)).toEqual(['Cogwheel']);
});
it('says the same of a bank at home, on the rail, on its pages and in its verdicts', () => expectOneVoice());
it('is the same for the same seed, and is not loaded twice', async () => {
	expect(await loadDemo(now)).toBe(false);
	const values = async () =>
		(await pool('readings').orderBy('id').select('raw_text')).map((r: { raw_text: string }) => r.raw_text);
	const first = await values();
	await clearRecords();
	expect(await loadDemo(now)).toBe(true);
	expect(await values()).toEqual(first);
	await clearRecords();
	await loadDemo(now, 5);
	expect(await values()).not.toEqual(first);
});
