import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankVerdicts } from '$lib/server/judgements/store';
import { cells, methodEntries, type Bank, type MethodEntryRow, type MethodRunRow } from '$lib/server/records';
import { dueMoments } from '$lib/server/home/due';
import { balancePage } from '$lib/server/stages/balance/page';
import { freshDatabase } from '../support/database';
import { change, make, remove, restore } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('method-runs');
});
afterAll(() => pool.destroy());

async function crate(name: string, series: number) {
	const type = await make<{ id: number }>('cell-types', { name: `${name} cell`, chemistry: 'LFP', ratedAh: 100 });
	const layout = { series, parallel: 1, cellTypeId: type.id };
	const bank = await make<Bank>('banks', { name, bankUse: 'boat', chemistry: 'LFP', ...layout });
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-06-01',
		labelPrefix: 'B',
		cellCount: series
	});
	const own = await cells.all({ deliveryId: delivery.id });
	return { bank, ids: own.map((c) => c.id) };
}
const begin = (bankId: number, method: string, more: object = {}) =>
	make<MethodRunRow>('method-runs', { bankId, method, setup: {}, ...more });
const write = (methodRunId: number, step: string, more: object = {}) =>
	make<MethodEntryRow>('method-entries', { methodRunId, step, ...more });
const codes = async (bankId: number) => (await bankVerdicts(bankId, 'balance')).map((v) => v.code);

describe('a balance by steps', () => {
	it('is judged with its bank, rings when a rest is over, and is taken up after its end', async () => {
		const { bank, ids } = await crate('Alder', 4);
		const run = await begin(bank.id, 'bottom', { cellIds: ids });
		const doneAt = '2026-11-20T08:00:00.000Z';
		const first = { cellId: ids[0], voltageV: 2.7, currentA: 40, doneAt };
		await write(run.id, 'stage-1', first);
		expect(await codes(bank.id)).toContain('bottom-on-its-way');
		expect((await dueMoments()).map((d) => [d.at, d.href])).toEqual([
			['2026-11-20T09:00:00.000Z', `/banks/${bank.id}/balance/steps`]
		]);
		await expect(write(run.id, 'stage-1', first)).rejects.toMatchObject({ faults: [{ path: 'step' }] });
		const page = await balancePage(bank.id);
		expect(page.steps!.state.next.map((n) => n.step)).toEqual(['rested-1', 'stage-1']);
		// Six days later: what has changed, and what to check.
		expect(page.pause).toMatchObject({ checks: ['empty', 'voltages'] });
		const ended = await change<MethodRunRow>('method-runs', run.id, {
			version: run.version,
			endedAt: '2026-11-20T09:00:00Z'
		});
		await expect(write(run.id, 'rested-1', { cellId: ids[0], voltageV: 3 })).rejects.toMatchObject({
			faults: [{ path: 'methodRunId' }]
		});
		await change('method-runs', run.id, { version: ended.version, endedAt: null });
		await write(run.id, 'rested-1', { cellId: ids[0], voltageV: 3 });
		// No rest is cut short by a date that has not come.
		const tomorrow = new Date(Date.now() + 86_400_000).toISOString();
		await expect(
			write(run.id, 'stage-2', { cellId: ids[0], voltageV: 2.7, currentA: 3, doneAt: tomorrow })
		).rejects.toMatchObject({ faults: [{ path: 'doneAt' }] });
	});
	it('of two tabs that write one step one is refused; taken out, it can be brought back', async () => {
		const { bank, ids } = await crate('Birch', 4);
		const run = await begin(bank.id, 'bottom', { cellIds: ids });
		const both = await Promise.allSettled(
			[1, 2].map(() => write(run.id, 'stage-1', { cellId: ids[0], voltageV: 2.7, currentA: 40 }))
		);
		expect(both.map((r) => r.status).sort()).toEqual(['fulfilled', 'rejected']);
		const [entry] = await methodEntries.all({ methodRunId: run.id });
		await remove('method-entries', entry!.id, entry!.version);
		expect((await balancePage(bank.id)).steps!.run.entries).toEqual([]);
		await restore('method-entries', entry!.id);
		expect((await balancePage(bank.id)).steps!.run.entries).toHaveLength(1);
	});
	it('a string under charge is not joined side by side before its links are proved off', async () => {
		const { bank, ids } = await crate('Cedar', 4);
		const run = await begin(bank.id, 'fast', { cellIds: ids, setup: { cellSupplyA: 20 } });
		await write(run.id, 'began', { currentA: 50 });
		const row = await make<{ id: number; version: number }>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			cellIds: ids
		});
		const switchOn = () =>
			change('balance-runs', row.id, { version: row.version, startedAt: new Date().toISOString() });
		await expect(switchOn()).rejects.toMatchObject({ status: 409, code: 'links-not-off' });
		await write(run.id, 'tripped', { volts: [3.44, 3.6, 3.42, 3.45], currentA: 20, ah: 90 });
		await expect(write(run.id, 'links-read', { volts: [0, 0, 0] })).rejects.toMatchObject({
			faults: [{ path: 'asked' }]
		});
		await write(run.id, 'links-read', { volts: [6.6, 0, 0], asked: true });
		expect(await codes(bank.id)).toContain('links-still-on');
		await expect(switchOn()).rejects.toMatchObject({ code: 'links-not-off' });
		// Ended is not proved: the string may still stand.
		const ended = await change<MethodRunRow>('method-runs', run.id, {
			version: run.version,
			endedAt: new Date().toISOString()
		});
		await expect(switchOn()).rejects.toMatchObject({ code: 'links-not-off' });
		await change('method-runs', run.id, { version: ended.version, endedAt: null });
		await write(run.id, 'links-read', { volts: [0, 0.01, 0], asked: true });
		// A figure mended so that nothing follows from it is refused, and the run stands.
		const trip = (await methodEntries.all({ methodRunId: run.id })).find((e) => e.step === 'tripped')!;
		await expect(change('method-entries', trip.id, { version: trip.version, volts: [3.6] })).rejects.toMatchObject({
			faults: [{ path: 'volts' }]
		});
		await switchOn();
		expect(await codes(bank.id)).toContain('fast-tripped');
	});
	it('keeps the passings of a log with its volts, one for each', async () => {
		const { bank, ids } = await crate('Elder', 4);
		const run = await begin(bank.id, 'balancer', { cellIds: ids, setup: { balancerA: 1, hoursADay: 5 } });
		const passings = {
			voltageV: 3.405,
			endAh: 42,
			groups: [41.5, 31.8, null, 39.4].map((ah) => ah && { ah, sdAh: 0.5 })
		};
		const volts = [3.409, 3.583, 3.419, 3.429];
		await expect(
			write(run.id, 'read', { volts, passings: { ...passings, groups: passings.groups.slice(1) } })
		).rejects.toMatchObject({ faults: [{ path: 'passings' }] });
		await write(run.id, 'read', { volts, passings, currentA: 10 });
		const [kept] = await methodEntries.all({ methodRunId: run.id });
		expect(kept!.passings).toEqual(passings);
	});
	it('asks for what it cannot do without', async () => {
		const { bank, ids } = await crate('Dogwood', 4);
		const refused = (method: string, more: object = {}) => expect(begin(bank.id, method, more)).rejects;
		await refused('bottom').toMatchObject({ faults: [{ path: 'cellIds' }] });
		await refused('bottom', { cellIds: [ids[0], ids[0]] }).toMatchObject({ faults: [{ path: 'cellIds' }] });
		await refused('fast', { cellIds: [999_999] }).toMatchObject({ faults: [{ path: 'cellIds' }] });
		await refused('ready-made', { setup: { units: ['One'] } }).toMatchObject({ faults: [{ path: 'setup.units' }] });
		await refused('ready-made', { setup: { units: ['One', 'One '] } }).toMatchObject({
			faults: [{ path: 'setup.units' }]
		});
		await refused('sideways').toMatchObject({ faults: [{ path: 'method' }] });
	});
});
