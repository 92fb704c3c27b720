import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { groups, placements, readings, type Bank, type Battery } from '$lib/server/records';
import { recordKind } from '$lib/server/records/registry';
import { createOnce } from '$lib/server/records/write';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { freshDatabase } from '../support/database';
import { bankWith, expectInvariants, expectRefusals, layout, settled } from '../support/invariants';
import { change, make, remove, restore } from '../support/records';

let pool: Knex;
beforeAll(async () => void (pool = await freshDatabase('invariants')));
afterAll(() => pool.destroy());

describe('of several at once', () => {
	it('one matching of an unplaced bank is taken, the others hear of it', async () => {
		for (let round = 0; round < 5; round++) {
			const { bank, crate } = await bankWith(`Twice ${round}`, 4);
			const [a, b, c, d] = crate.map((x) => x.id);
			const results = await settled([
				acceptMatch(bank.id, { groups: [[a!], [b!]], replaces: [] }),
				acceptMatch(bank.id, { groups: [[c!], [d!]], replaces: [] }),
				acceptMatch(bank.id, { groups: [[b!], [a!]], replaces: [] })
			]);
			expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
			for (const r of results) if (r.status === 'rejected') expect(r.reason).toMatchObject({ status: 409 });
			expect(await placements.all({ bankId: bank.id })).toHaveLength(2);
		}
		await expectInvariants();
	});
	it('one placement of a cell is taken, and one into a group of one', async () => {
		const { crate, places } = await bankWith('Thrice', 3);
		const same = await settled(
			places.concat(places).map((g) => make('placements', { cellId: crate[0]!.id, groupId: g.id }))
		);
		expect(same.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
		const free = places.find(
			(g) =>
				g.id !==
				(same.find((r) => r.status === 'fulfilled') as PromiseFulfilledResult<{ groupId: number }>).value.groupId
		)!;
		const full = await settled(crate.slice(1).map((c) => make('placements', { cellId: c.id, groupId: free.id })));
		expect(full.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
		expectRefusals([...same, ...full]);
		await expectInvariants();
	});
	it('a request with one key makes one record: 201 once, then the same again, also after it was taken out', async () => {
		const { crate } = await bankWith('Keys', 1);
		const body = { cellId: crate[0]!.id, quantity: 'restVoltage', rawText: '3.29', clientKey: 'κλειδί' };
		const send = (more: object = {}) => createOnce(recordKind('readings'), { ...body, ...more });
		const all = await Promise.all(Array.from({ length: 8 }, () => send()));
		expect(new Set(all.map((w) => w.record.id)).size).toBe(1);
		expect(all.filter((w) => w.isNew)).toHaveLength(1);
		expect(await readings.all({ cellId: crate[0]!.id })).toHaveLength(1);
		await expect(send({ rawText: '3.30' })).rejects.toMatchObject({ status: 409, code: 'key-reused' });
		// Byte for byte: another case, another key.
		expect((await send({ clientKey: 'ΚΛΕΙΔΊ' })).isNew).toBe(true);
		await remove('readings', all[0]!.record.id, 1);
		const after = await send();
		expect(after).toMatchObject({ isNew: false, record: { id: all[0]!.record.id, deletedAt: expect.any(String) } });
	});
	it('a key of one kind is free in another, and a refused request leaves it free', async () => {
		const { crate } = await bankWith('Free keys', 1);
		const note = { cellId: crate[0]!.id, text: 'x', clientKey: 'k' };
		await expect(make('notes', { ...note, cellId: 2 ** 31 })).rejects.toMatchObject({ faults: [{ path: 'cellId' }] });
		expect((await createOnce(recordKind('notes'), note)).isNew).toBe(true);
		expect((await createOnce(recordKind('runs'), { cellId: crate[0]!.id, capacityAh: 5, clientKey: 'k' })).isNew).toBe(
			true
		);
	});
});

describe('rules hold on create, change and restore', () => {
	it('a cell cannot come back into a second place', async () => {
		const { crate, places } = await bankWith('Back', 2);
		const at = (g: number) => ({ cellId: crate[0]!.id, groupId: places[g]!.id });
		const first = await make<{ id: number; version: number }>('placements', at(0));
		await remove('placements', first.id, first.version);
		const second = await make<{ id: number; version: number }>('placements', at(1));
		await expect(restore('placements', first.id)).rejects.toMatchObject({ status: 409 });
		const ended = await change<{ version: number }>('placements', second.id, {
			version: 1,
			removedAt: new Date().toISOString()
		});
		await restore('placements', first.id);
		await expect(change('placements', second.id, { version: ended.version, removedAt: null })).rejects.toMatchObject({
			status: 409
		});
		await expectInvariants();
	});
	it('a change cannot move a cell, a bank, a crate or a type across the border of a rehearsal', async () => {
		const { bank, crate } = await bankWith('Real', 2);
		const marked = async () => ({ rehearsal: true });
		const fields = { ...layout, name: 'Simulated' };
		const simulated = (await createOnce(recordKind('banks'), fields, marked)).record as Bank;
		const box = { bankId: simulated.id, name: 'Box', receivedOn: '2026-01-01', cellCount: 2 };
		const delivery = await make<{ id: number; version: number; rehearsal: boolean }>('deliveries', box);
		expect(delivery.rehearsal).toBe(true);
		const type = (await createOnce(recordKind('cell-types'), { name: 'Sim', chemistry: 'LFP', ratedAh: 50 }, marked))
			.record;
		const refusal = (path: string) => ({ faults: [{ path }] });
		await expect(change('banks', bank.id, { version: bank.version, cellTypeId: type.id })).rejects.toMatchObject(
			refusal('cellTypeId')
		);
		await expect(change('deliveries', delivery.id, { version: 1, bankId: bank.id })).rejects.toMatchObject(
			refusal('bankId')
		);
		await expect(change('cells', crate[0]!.id, { version: 1, deliveryId: delivery.id })).rejects.toMatchObject(
			refusal('deliveryId')
		);
		await expect(make('candidates', { bankId: simulated.id, cellId: crate[0]!.id })).rejects.toMatchObject(
			refusal('cellId')
		);
		await expectInvariants();
	});
	it('nothing is written under what was taken out, or never was', async () => {
		const { bank, crate } = await bankWith('Gone', 2);
		const [delivery] = (await pool('cells').where({ id: crate[0]!.id }).pluck('delivery_id')) as number[];
		const reading = { cellId: crate[0]!.id, quantity: 'restVoltage', rawText: '3.29' };
		const kept = await make<{ id: number; version: number }>('readings', reading);
		await remove('deliveries', delivery!, 1);
		await expect(make('readings', reading)).rejects.toMatchObject({ faults: [{ path: 'cellId' }] });
		await expect(change('readings', kept.id, { version: 1, rawText: '3.3' })).rejects.toMatchObject({
			faults: [{ path: 'cellId' }]
		});
		await restore('deliveries', delivery!);
		await make('readings', reading);
		await remove('banks', bank.id, bank.version);
		await expect(make('limit-plans', { bankId: bank.id, strategy: 'long-life' })).rejects.toMatchObject({
			faults: [{ path: 'bankId' }]
		});
		await expect(
			make('balance-readings', { balanceRunId: 2147483648 - 1, readAt: '2026-01-01', supplyA: 1 })
		).rejects.toMatchObject({ faults: [{ path: 'balanceRunId' }] });
	});
	it('what is in use stays: a type, a placed cell, its crate, a layout under cells, a battery that holds some', async () => {
		const type = await make<{ id: number }>('cell-types', { name: 'Used', chemistry: 'LFP', ratedAh: 50 });
		const { bank, crate, places } = await bankWith('In use', 2, { cellTypeId: type.id, batteries: 2 });
		const [delivery] = (await pool('cells').where({ id: crate[0]!.id }).pluck('delivery_id')) as number[];
		await make('placements', { cellId: crate[0]!.id, groupId: places[0]!.id });
		const inUse = { status: 409 };
		await expect(remove('cell-types', type.id, 1)).rejects.toMatchObject(inUse);
		await expect(remove('cells', crate[0]!.id, 1)).rejects.toMatchObject(inUse);
		await expect(remove('deliveries', delivery!, 1)).rejects.toMatchObject(inUse);
		await expect(change('banks', bank.id, { version: bank.version, series: 4 })).rejects.toMatchObject({
			code: 'layout-in-use'
		});
		const [one, two] = (await pool('batteries').where({ bank_id: bank.id }).orderBy('number')) as { id: number }[];
		await expect(remove('batteries', one!.id, 1)).rejects.toMatchObject(inUse);
		await remove('batteries', two!.id, 1);
		expect(await pool('banks').where({ id: bank.id }).first('batteries')).toEqual({ batteries: 1 });
		await restore('batteries', two!.id);
		await expectInvariants();
	});
	it('a group that the layout does not have is named', async () => {
		const { bank, crate } = await bankWith('Outside', 1);
		const place = (battery: number, position: number) =>
			make('placements', { cellId: crate[0]!.id, bankId: bank.id, battery, position });
		await expect(place(32, 1)).rejects.toMatchObject({ faults: [{ path: 'battery' }] });
		await expect(place(1, 128)).rejects.toMatchObject({ faults: [{ path: 'position' }] });
		expect(await place(1, 2)).toMatchObject({ battery: 1, position: 2, bankId: bank.id });
	});
});

describe('batteries', () => {
	it('are built here as their bank is laid out, or ready-made with their maker’s figures', async () => {
		const { bank, crate } = await bankWith('Mixed', 1);
		const ready = { bankId: bank.id, kind: 'ready-made', maker: 'Quay & Daughters', nominalV: 12.8 };
		await expect(make('batteries', ready)).rejects.toMatchObject({ faults: [{ path: 'ratedAh' }] });
		const battery = await make<Battery>('batteries', { ...ready, ratedAh: 100, joins: 'series', mostInSeries: 4 });
		expect(battery).toMatchObject({ number: 2, kind: 'ready-made', joins: 'series', mostInSeries: 4 });
		await expect(make('batteries', { bankId: bank.id, joins: 'series' })).rejects.toMatchObject({
			faults: [{ path: 'joins' }]
		});
		await expect(make('batteries', { bankId: bank.id, series: 8 })).rejects.toMatchObject({
			faults: [{ path: 'series' }]
		});
		const [group] = await groups.all({ batteryId: battery.id });
		await expect(make('placements', { cellId: crate[0]!.id, groupId: group!.id })).rejects.toThrow(/ready-made/);
		await expectInvariants();
	});
});
