import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { STAGES } from '$lib/core/foundation/verdicts';
import { VERDICT_CODES } from '$lib/core/bank';
import { bankVerdicts } from '$lib/server/judgements/store';
import { cells, verdictChanges, type Bank, type Cell } from '$lib/server/records';
import { bankOverview, homeOverview } from '$lib/server/home/overview';
import { cellPassport } from '$lib/server/passport/passport';
import { planPage } from '$lib/server/stages/plan/page';
import { servePage } from '$lib/server/stages/serve/page';
import { testPage } from '$lib/server/stages/test/page';
import { changeSettings } from '$lib/server/settings/settings';
import { freshDatabase } from '../support/database';
import { change, make, remove } from '../support/records';

let pool: Knex;
const layout = { bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 };
beforeAll(async () => void (pool = await freshDatabase('judgements')));
afterAll(() => pool.destroy());

async function crateOf(
	name: string,
	volts: readonly string[],
	day = '2026-03-09'
): Promise<{ bank: Bank; crate: Cell[] }> {
	const type = await make<{ id: number }>('cell-types', { name, chemistry: 'LFP', ratedAh: 100 });
	const bank = await make<Bank>('banks', { ...layout, name, cellTypeId: type.id });
	const box = { bankId: bank.id, name: 'Crate', receivedOn: day, cellCount: volts.length };
	const delivery = await make<{ id: number }>('deliveries', box);
	const crate = await cells.all({ deliveryId: delivery.id });
	for (const [i, rawText] of volts.entries())
		await make('readings', { cellId: crate[i]!.id, quantity: 'restVoltage', rawText, takenAt: `${day}T00:00:00Z` });
	return { bank, crate };
}
const codes = async (bankId: number, stage: (typeof STAGES)[number]) =>
	(await bankVerdicts(bankId, stage)).map((v) => v.code);

/** A crate that is looked at soon after it came: nothing stands idle. */
const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

describe('checks of many years', () => {
	it('are judged once: what was said is kept by what was seen, read again, and forgotten with the check', async () => {
		const bank = await make<Bank>('banks', { ...layout, name: 'Years', inServiceOn: '2025-01-01' });
		const check = (day: number, groupVoltagesV: number[]) =>
			make<{ id: number; version: number }>('service-checks', {
				bankId: bank.id,
				checkedAt: `2026-03-0${day}T10:00:00Z`,
				context: 'full',
				currentA: 1,
				groupVoltagesV
			});
		const first = await check(1, [3.45, 3.452, 3.449, 3.451]);
		await check(2, [3.45, 3.453, 3.449, 3.44]);
		await bankVerdicts(bank.id, 'serve');
		const kept = () => pool('judged_checks').where({ bank_id: bank.id }).orderBy('seen').select('seen', 'judgement');
		expect(await kept()).toHaveLength(2);
		// What is stored is what a page shows: nothing is judged anew.
		const reason = 'Said before.';
		for (const row of await kept())
			await pool('judged_checks')
				.where({ bank_id: bank.id, seen: row.seen })
				.update({ judgement: JSON.stringify({ ...JSON.parse(row.judgement), reason }) });
		const { serve } = await servePage(bank.id, 1);
		expect(serve!.checks.map((c) => c.judgement.reason)).toEqual([reason, reason]);
		await remove('service-checks', first.id, first.version);
		await bankVerdicts(bank.id, 'serve');
		expect(await kept()).toHaveLength(1);
	});
});

describe('what was recorded before it was checked takes nothing down', () => {
	const odd: [string, unknown[], string][] = [
		['one group', [3.4], 'was read'],
		['nulls', [null, null, null, null], 'two groups'],
		['texts', ['3.4', 'x', {}, []], 'not fit'],
		['another layout', [3.4, 3.4], '2 groups were read, the battery has 4 now']
	];
	it.each(odd)(
		'a check with %s: every page, home and the verdicts answer, and say so',
		async (name, groupVoltagesV) => {
			const bank = await make<Bank>('banks', { ...layout, name, inServiceOn: '2025-01-01' });
			await pool('service_checks').insert({
				bank_id: bank.id,
				battery: 1,
				checked_at: new Date(),
				context: 'full',
				current_a: 1,
				group_voltages_v: JSON.stringify(groupVoltagesV),
				created_at: new Date(),
				updated_at: new Date()
			});
			const serve = await bankVerdicts(bank.id, 'serve');
			expect(serve.map((v) => v.code).some((c) => c === 'check-not-judged' || c === 'not-judged')).toBe(true);
			expect((await bankOverview(bank.id)).current).toBe('serve');
			expect((await homeOverview(new URLSearchParams({ q: name }), Infinity)).real.map((b) => b.name)).toContain(name);
			expect((await planPage(bank.id)).verdicts).toHaveLength(1);
			await servePage(bank.id, 1);
		}
	);
	it('is refused at the door today: too few, too many, texts, no such battery', async () => {
		const bank = await make<Bank>('banks', { ...layout, name: 'Door' });
		const check = { bankId: bank.id, checkedAt: '2026-03-01', context: 'full', currentA: 1 };
		const sent = (more: object) =>
			make('service-checks', { ...check, ...more }).catch((e: { faults: { path: string }[] }) => e.faults[0]!.path);
		expect(await sent({ groupVoltagesV: [3.4] })).toBe('groupVoltagesV');
		expect(await sent({ groupVoltagesV: [3.4, 3.4, 3.4, 3.4, 3.4] })).toBe('groupVoltagesV');
		expect(await sent({ groupVoltagesV: [null, null, null, null] })).toBe('groupVoltagesV');
		expect(await sent({ groupVoltagesV: ['3.4', 3.4, 3.4, 3.4] })).toBe('groupVoltagesV');
		expect(await sent({ groupVoltagesV: [3.4, 3.4, 3.4, 3.4], battery: 2 })).toBe('battery');
		expect(await sent({ groupVoltagesV: [3.4, null, 3.4, 3.4] })).toMatchObject({ battery: 1 });
	});
	it('a row of 192 big cells on a small supply is planned, not refused', async () => {
		const { planTopBalance } = await import('$lib/core/foundation/parallel-charge');
		const big = Array.from({ length: 192 }, (_, id) => ({
			id,
			label: String(id),
			capacityAh: 314,
			socLow: 0,
			socHigh: 0.5,
			restVoltageV: 3.29,
			resistanceMohm: 0.18
		}));
		const supply = { chemistry: 'LFP' as const, chargeLimitV: 3.65, chargeCRate: 0.5, supplyA: 20, leadOhm: 0.01 };
		// 192 × 314 Ah at 20 A: 3014 h and the taper.
		expect(planTopBalance(big, supply).durationS.high / 3600).toBeGreaterThan(3014);
	});
});

describe('verdicts as data', () => {
	it('have a subject, facts and sentences, and a code that is listed', async () => {
		const { bank, crate } = await crateOf('Data', ['3.291', '3.292', '3.290', '3.291', '3.292', '3.250']);
		const [outlier] = (await bankVerdicts(bank.id, 'receive')).filter((v) => v.code === 'voltage-outlier');
		expect(outlier).toMatchObject({
			stage: 'receive',
			warmth: 'look',
			subject: { kind: 'cell', id: crate[5]!.id, label: crate[5]!.label },
			members: [],
			facts: {
				restVoltageV: { value: 3.25, sd: expect.any(Number) },
				differenceV: { value: expect.closeTo(-0.041, 3) }
			},
			title: `${crate[5]!.label} rests 41 mV below the rest`
		});
		for (const v of await bankVerdicts(bank.id)) {
			expect(VERDICT_CODES).toContain(v.code);
			for (const sentence of [v.title, v.finding, v.rule]) expect(sentence.length).toBeGreaterThan(3);
			expect(`${v.title} ${v.finding} ${v.doubt} ${v.next}`).not.toMatch(/undefined|NaN|\[object/);
		}
		expect((await testPage(bank.id)).verdicts.map((v) => v.code)).toEqual(await codes(bank.id, 'test'));
	});
	it('of a running balance, of groups too uneven and of every battery reach home', async () => {
		const { bank, crate } = await crateOf('Reach', ['3.291', '3.292', '3.290', '3.291']);
		for (const [i, cell] of crate.entries())
			await make('runs', { cellId: cell.id, capacityAh: [100, 80, 101, 102][i], temperatureC: 25 });
		await change('banks', bank.id, { version: bank.version, series: 2, batteries: 2 });
		for (const [i, cell] of crate.entries())
			await make('placements', { cellId: cell.id, bankId: bank.id, battery: 1 + (i >> 1), position: 1 + (i & 1) });
		expect(await codes(bank.id, 'match')).toContain('match-too-uneven');
		const run = await make<{ id: number }>('balance-runs', {
			bankId: bank.id,
			supplyA: 10,
			leadOhm: 0.01,
			startedAt: '2026-03-20T00:00:00Z'
		});
		const read = (hours: number, supplyA: number, cellV: number) =>
			make('balance-readings', {
				balanceRunId: run.id,
				readAt: new Date(Date.UTC(2026, 2, 20, hours)).toISOString(),
				supplyV: 3.65,
				supplyA,
				cellV
			});
		await read(1, 5, 3.4);
		expect(await codes(bank.id, 'balance')).toEqual(['lead-drop', 'balance-unmet']);
		const [listed] = (await homeOverview(new URLSearchParams({ q: 'Reach' }), Infinity)).real;
		expect(listed!.stages.find((s) => s.stage === 'balance')).toMatchObject({ open: '1', warmth: 'look' });
		for (const battery of [1, 2])
			await make('service-checks', {
				bankId: bank.id,
				battery,
				checkedAt: '2026-05-01',
				context: 'full',
				currentA: 1,
				groupVoltagesV: battery === 1 ? [3.46, 3.46] : [3.46, 3.347]
			});
		const drift = (await bankVerdicts(bank.id, 'serve')).find((v) => v.code === 'drift')!;
		expect(drift.subject).toMatchObject({ kind: 'group', label: expect.stringContaining('Battery 2, group') });
		const correction = await make<Bank>('banks', { ...layout, name: 'Cold', cellTypeId: bank.cellTypeId });
		const box = { bankId: correction.id, name: 'C', receivedOn: '2026-01-01', cellCount: 1 };
		const [cold] = await cells.all({ deliveryId: (await make<{ id: number }>('deliveries', box)).id });
		await make('runs', { cellId: cold!.id, capacityAh: 80, temperatureC: -10 });
		expect(await codes(correction.id, 'test')).toEqual(['correction-refused']);
	});
});

describe('what a verdict said then stays', () => {
	it('with its time and what changed it, and the passport shows both', async () => {
		const { bank, crate } = await crateOf('Then', ['3.291', '3.292', '3.290', '3.291', '3.292', '3.250']);
		const odd = crate[5];
		expect(await codes(bank.id, 'receive')).toContain('voltage-outlier');
		const again = { cellId: odd!.id, quantity: 'restVoltage', rawText: '3.2915', takenAt: '2026-03-12T00:00:00Z' };
		const reading = await make<{ id: number }>('readings', again);
		expect(await codes(bank.id, 'receive')).not.toContain('voltage-outlier');
		const [changed] = (await verdictChanges.all({ bankId: bank.id })).filter((c) => c.code === 'voltage-outlier');
		expect(changed).toMatchObject({
			subjectId: String(odd!.id),
			saidBefore: { title: `${odd!.label} rests 41 mV below the rest` },
			saysNow: null,
			cause: [{ kind: 'readings', recordId: reading.id, deed: 'create' }]
		});
		const { events } = await cellPassport(odd!.id);
		expect(events.find((e) => e.kind === 'said-before')).toMatchObject({
			title: `Until here: ${odd!.label} rests 41 mV below the rest`,
			detail: 'It no longer stands. Changed by a reading.'
		});
	});
	it('also when it is the meter that is thought of differently', async () => {
		const { bank } = await crateOf('Meter', ['3.291', '3.292', '3.290', '3.291', '3.292', '3.270']);
		expect(await codes(bank.id, 'receive')).toContain('voltage-outlier');
		await changeSettings({ voltMeterCountsMv: 40 });
		expect(await codes(bank.id, 'receive')).not.toContain('voltage-outlier');
		await changeSettings({ voltMeterCountsMv: 2 });
		const [changed] = (await verdictChanges.all({ bankId: bank.id })).filter((c) => c.code === 'voltage-outlier');
		expect(changed!.cause).toMatchObject([{ kind: 'settings', deed: 'change' }]);
	});
	it('and nothing is kept where nothing changed', async () => {
		const { bank, crate } = await crateOf('Same', ['3.291', '3.292', '3.290', '3.291', '3.292', '3.250'], daysAgo(9));
		await bankVerdicts(bank.id);
		await make('notes', { cellId: crate[0]!.id, text: 'nothing new' });
		await make('readings', { cellId: crate[0]!.id, quantity: 'restVoltage', rawText: '3.2911' });
		await bankVerdicts(bank.id);
		expect((await verdictChanges.all({ bankId: bank.id })).map((c) => c.code)).toEqual([]);
	});
});

describe('a verdict that was seen and set apart', () => {
	it('stays, calm, with its reason, until what it stands on moves beyond its doubt', async () => {
		const { bank, crate } = await crateOf('Apart', ['3.291', '3.292', '3.290', '3.291', '3.292', '3.250'], daysAgo(9));
		const odd = crate[5];
		const find = async () => (await bankVerdicts(bank.id, 'receive')).find((v) => v.code === 'voltage-outlier')!;
		await find();
		const about = { bankId: bank.id, stage: 'receive', code: 'voltage-outlier', subjectKind: 'cell' };
		const apart = { ...about, subjectId: odd!.id, reason: 'It lay in the sun.' };
		await expect(make('acknowledgements', { ...apart, subjectId: crate[0]!.id })).rejects.toMatchObject({
			faults: [{ path: 'code' }]
		});
		const ack = await make<{ id: number; version: number }>('acknowledgements', apart);
		expect(await find()).toMatchObject({ warmth: 'calm', setApart: 'It lay in the sun.' });
		expect((await bankOverview(bank.id)).stages.find((s) => s.stage === 'receive')!.warmth).toBe('open');
		const read = (rawText: string, day: number) =>
			make('readings', {
				cellId: odd!.id,
				quantity: 'restVoltage',
				rawText,
				takenAt: `${daysAgo(20 - day)}T00:00:00Z`
			});
		// The same within the meter's doubt: nothing new.
		await read('3.251', 12);
		expect(await find()).toMatchObject({ warmth: 'calm', setApart: 'It lay in the sun.' });
		await read('3.230', 13);
		expect(await find()).toMatchObject({ warmth: 'look' });
		expect(await find()).not.toHaveProperty('setApart');
		await read('3.250', 14);
		expect(await find()).toMatchObject({ warmth: 'calm' });
		await remove('acknowledgements', ack.id, ack.version);
		expect(await find()).toMatchObject({ warmth: 'look' });
	});
});
