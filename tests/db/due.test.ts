import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cells, type Bank, type NotedRunRow } from '$lib/server/records';
import { dueMoments } from '$lib/server/home/due';
import { freshDatabase } from '../support/database';
import { change, make } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('due');
});
afterAll(() => pool.destroy());

describe('what nobody follows by wire', () => {
	it('is due when its page said, first first, until it is done', async () => {
		const bank = await make<Bank>('banks', { name: 'Reed', bankUse: 'boat', chemistry: 'LFP', series: 4, parallel: 1 });
		const delivery = await make<{ id: number }>('deliveries', {
			bankId: bank.id,
			name: 'Box',
			receivedOn: '2026-11-01',
			cellCount: 2
		});
		const [one, two] = await cells.all({ deliveryId: delivery.id });
		const noted = await make<NotedRunRow>('noted-runs', {
			cellId: one!.id,
			startedAt: '2026-11-26T08:00:00Z',
			currentA: 20,
			cutoffV: 2.5,
			notes: [],
			lookAgainAt: '2026-11-26T17:00:00Z'
		});
		await make('storage-tests', {
			cellId: two!.id,
			chargedAt: '2026-10-01T00:00:00Z',
			dueOn: '2026-11-25T00:00:00Z'
		});
		const before = await dueMoments();
		expect(before.map((d) => [d.bankName, d.href])).toEqual([
			['Reed', `/cells/${two!.id}`],
			['Reed', `/banks/${bank.id}/test/notes`]
		]);
		await change('noted-runs', noted.id, { version: noted.version, lookAgainAt: null });
		expect((await dueMoments()).map((d) => d.href)).toEqual([`/cells/${two!.id}`]);
	});

	it('is a row after its charge, until each of its cells has been read', async () => {
		const bank = await make<Bank>('banks', { name: 'Rush', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		const delivery = await make<{ id: number }>('deliveries', {
			bankId: bank.id,
			name: 'Box',
			receivedOn: '2026-11-01',
			cellCount: 2
		});
		const row = await cells.all({ deliveryId: delivery.id });
		await make('balance-runs', {
			bankId: bank.id,
			supplyA: 10,
			leadOhm: 0.01,
			cellIds: row.map((c) => c.id),
			startedAt: '2026-11-20T08:00:00Z',
			endedAt: '2026-11-20T12:00:00Z'
		});
		const ats = async () => (await dueMoments()).filter((d) => d.bankId === bank.id).map((d) => d.at);
		const read = (cell: number, takenAt: string) =>
			make('readings', { cellId: row[cell]!.id, quantity: 'restVoltage', rawText: '3.42', takenAt });
		const [hour, day] = ['2026-11-20T13:00:00.000Z', '2026-11-21T12:00:00.000Z'];
		expect(await ats()).toEqual([hour, day]);
		await read(0, '2026-11-20T13:05:00Z');
		expect(await ats(), 'one of two').toEqual([hour, day]);
		await read(1, '2026-11-20T13:05:00Z');
		expect(await ats()).toEqual([day]);
		await read(0, '2026-11-21T13:00:00Z');
		await read(1, '2026-11-21T13:00:00Z');
		expect(await ats()).toEqual([]);
	});

	it('is a charge that is logged by hand, before its tail and while somebody is up', async () => {
		const type = await make<{ id: number }>('cell-types', { name: 'R100', chemistry: 'LFP', ratedAh: 100 });
		const bank = await make<Bank>('banks', {
			name: 'Sedge',
			bankUse: 'van',
			chemistry: 'LFP',
			series: 4,
			parallel: 1,
			cellTypeId: type.id
		});
		const delivery = await make<{ id: number }>('deliveries', {
			bankId: bank.id,
			name: 'Box',
			receivedOn: '2026-11-01',
			cellCount: 4
		});
		const row = await cells.all({ deliveryId: delivery.id });
		for (const cell of row)
			await make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: '3.22', takenAt: '2026-11-02' });
		const run = await make<{ id: number; version: number }>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			cellIds: row.map((c) => c.id)
		});
		await pool('balance_runs')
			.where({ id: run.id })
			.update({ started_at: new Date('2026-11-03T08:00:00Z') });
		await make('balance-readings', {
			balanceRunId: run.id,
			readAt: '2026-11-03T08:05:00Z',
			supplyV: 3.5,
			supplyA: 20,
			cellV: 3.3
		});
		const [due] = (await dueMoments()).filter((d) => d.bankId === bank.id);
		expect(due).toMatchObject({ what: 'Look at the charge, Sedge', href: `/banks/${bank.id}/balance/charge` });
		// By hand: 4 × 100 Ah from 17 % (95 %: at most a quarter) at 20 A: at least 14 h, at most 19 h from the start.
		const hours = (Date.parse(due!.at) - Date.parse('2026-11-03T08:05:00Z')) / 3_600_000;
		expect(hours).toBeGreaterThan(8);
		expect(hours).toBeLessThan(19);
		const hour = new Date(due!.at).getHours();
		expect(hour).toBeGreaterThanOrEqual(7);
		expect(hour).toBeLessThanOrEqual(23);
	});
});
