import type { Knex } from 'knex';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { clearRecords, loadDemo } from '$demo/load';
import { banks } from '$lib/server/db/tables';
import { deliveryTrays } from '$lib/server/services/delivery-service';
import { allOverviews } from '$lib/server/services/overview-service';
import { bankCapacities } from '$lib/server/services/run-service';
import { serveState } from '$lib/server/services/serve-service';
import { freshDatabase } from '../support/database';

let pool: Knex;
const now = new Date('2026-06-01T09:00:00Z');
beforeAll(async () => {
	pool = await freshDatabase('demo');
	await loadDemo(now);
});
afterAll(() => pool.destroy());

const idOf = async (name: string) => (await banks.all({ name }))[0].id;

it('shows every kind of verdict on cells and years', async () => {
	const receive = (await deliveryTrays(await idOf('Heronry')))[0].judgement.verdicts.map((v) => v.code);
	expect(receive).toEqual(['deep-discharged', 'voltage-outlier', 'resistance-outlier', 'not-read', 'charge-unknown']);
	const outcomes = (await bankCapacities(await idOf('Cogwheel'))).capacities.map((c) => c.judgement?.outcome);
	expect(new Set(outcomes)).toEqual(new Set(['short', 'unsure', 'meets']));
	const serve = await serveState(await idOf('Damson Rise'), 1, now.toISOString());
	expect(serve.verdicts.map((v) => v.code)).toEqual(['drift', 'check-not-judged', 'fade']);
});
it('finds again what was hidden: the short cell, the leaking group, the age of the end', async () => {
	const capacities = (await bankCapacities(await idOf('Cogwheel'))).capacities;
	expect(capacities[3].capacityAh).toBeGreaterThan(98);
	expect(capacities[3].capacityAh).toBeLessThan(102.5);
	const { driftPerMonthAh, projection } = await serveState(await idOf('Damson Rise'), 1, now.toISOString());
	expect(driftPerMonthAh[9]).toBeCloseTo(-0.85 / 12, 1);
	// 1.015 − 0.021·√t − 0.007·t = 0.8 at t = 18.2 years
	expect(projection!.endAgeYears.low95).toBeLessThan(18.2);
	expect(projection!.endAgeYears.high95).toBeGreaterThan(18.2);
});
it('has banks at different stages, one with something running, warmest first', async () => {
	const overviews = await allOverviews();
	expect(overviews.map((o) => [o.bank.name, o.current])).toEqual([
		['Heronry', 'receive'],
		['Damson Rise', 'serve'],
		['Cogwheel', 'balance']
	]);
	expect(overviews.filter((o) => o.running.length).map((o) => o.bank.name)).toEqual(['Cogwheel']);
});
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
