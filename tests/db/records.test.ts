import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate } from '$lib/server/db/connection';
import { cells, readings, type Bank, type Cell, type Reading } from '$lib/server/records';
import { listRecords } from '$lib/server/records/list';
import { recordKind } from '$lib/server/records/registry';
import { freshDatabase } from '../support/database';
import { change, make, remove, restore, traysOf } from '../support/records';

let pool: Knex;
const bankFields = { name: 'Test', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 };
const query = (text: string) => new URLSearchParams(text);

beforeAll(async () => void (pool = await freshDatabase('records')));
afterAll(() => pool.destroy());

describe('records', () => {
	it('keep defaults, null for missing, and survive a second migration', async () => {
		const bank = await make<Bank>('banks', bankFields);
		await migrate(pool);
		expect(bank).toMatchObject({
			...bankFields,
			batteries: 1,
			endFraction: 0.8,
			cellTypeId: null,
			version: 1,
			deletedAt: null
		});
	});
	it('refuse bad fields by path, unknown fields too, and store nothing', async () => {
		const before = (await listRecords(recordKind('banks'), query(''))).total;
		const refused = await make('banks', { ...bankFields, series: 0, colour: 'red' }).catch(
			(e: unknown) => e as { faults: { path: string }[] }
		);
		expect((refused as { faults: { path: string }[] }).faults.map((f) => f.path).sort()).toEqual(['colour', 'series']);
		expect((await listRecords(recordKind('banks'), query(''))).total).toBe(before);
	});
	it('refuse a stale change and keep the first', async () => {
		const bank = await make<Bank>('banks', bankFields);
		await change('banks', bank.id, { version: 1, notes: 'first' });
		await expect(change('banks', bank.id, { version: 1, notes: 'second' })).rejects.toMatchObject({
			status: 409,
			code: 'stale'
		});
		expect(await recordKind('banks').repository.get(bank.id)).toMatchObject({ notes: 'first', version: 2 });
	});
	it('bring a bank’s cell type along in the same request, both or neither', async () => {
		const types = async () => (await listRecords(recordKind('cell-types'), query(''))).total;
		const [before, type] = [await types(), { name: 'Brassica 105', chemistry: 'LFP', ratedAh: 105 }];
		const bank = await make<Bank>('banks', { ...bankFields, cellType: type });
		const own = await recordKind('cell-types').repository.get(bank.cellTypeId!);
		expect(own).toMatchObject({ ...type, version: 1 });

		const bad = { ...bankFields, cellType: { ...type, ratedAh: -1 } };
		await expect(make('banks', bad)).rejects.toMatchObject({ faults: [{ path: 'cellType.ratedAh' }] });
		await expect(make('banks', { ...bankFields, cellType: 7 })).rejects.toMatchObject({
			faults: [{ path: 'cellType' }]
		});
		await expect(make('banks', { ...bankFields, cellType: { ...type, id: '1' } })).rejects.toMatchObject({
			faults: [{ path: 'cellType.id' }]
		});
		// The bank is stale: its type stays as it was too.
		await change('banks', bank.id, { version: 1, notes: 'first' });
		const changed = { id: own.id, version: 1, ratedAh: 100 };
		await expect(change('banks', bank.id, { version: 1, cellType: changed })).rejects.toMatchObject({ code: 'stale' });
		expect(await recordKind('cell-types').repository.get(own.id)).toMatchObject({ ratedAh: 105, version: 1 });
		await change('banks', bank.id, { version: 2, cellType: changed });
		expect(await recordKind('cell-types').repository.get(own.id)).toMatchObject({ ratedAh: 100, version: 2 });
		expect(await types()).toBe(before + 1);
	});
	it('refuse a change without a version', async () => {
		const bank = await make<Bank>('banks', bankFields);
		await expect(change('banks', bank.id, { notes: 'x' })).rejects.toMatchObject({ code: 'version' });
	});
	it('are deleted softly and come back', async () => {
		const bank = await make<Bank>('banks', bankFields);
		const { repository } = recordKind('banks');
		await expect(remove('banks', bank.id, 7)).rejects.toMatchObject({ status: 409 });
		await remove('banks', bank.id, 1);
		await expect(repository.get(bank.id)).rejects.toMatchObject({ status: 404 });
		expect(await restore('banks', bank.id)).toMatchObject({ id: bank.id, version: 3 });
	});
	it('are listed in pages', async () => {
		for (let i = 0; i < 5; i++) await make('cell-types', { name: `Type ${i}`, chemistry: 'LTO', ratedAh: 40 });
		const page = await listRecords(recordKind('cell-types'), query('chemistry=LTO&page=2&size=2'));
		expect(page).toMatchObject({ page: 2, size: 2, total: 5 });
		expect(page.items).toHaveLength(2);
		await expect(listRecords(recordKind('cell-types'), query('size=9999'))).rejects.toMatchObject({ code: 'paging' });
	});
});

describe('a delivery', () => {
	it('lays its cells on the tray and goes on counting with the next', async () => {
		const bank = await make<Bank>('banks', bankFields);
		const unpack = (cellCount: number) =>
			make<{ id: number }>('deliveries', {
				bankId: bank.id,
				name: 'Crate',
				receivedOn: '2026-03-09',
				cellCount,
				labelPrefix: 'T'
			});
		await unpack(3);
		const second = await unpack(2);
		expect((await cells.all({ deliveryId: second.id })).map((c) => c.label)).toEqual(['T-04', 'T-05']);
		expect((await traysOf(bank.id)).map((t) => t.cells.length)).toEqual([3, 2]);
	});
	it('stores nothing when the bank does not exist', async () => {
		await expect(
			make('deliveries', { bankId: 99999, name: 'Crate', receivedOn: '2026-03-09', cellCount: 2, labelPrefix: 'X' })
		).rejects.toMatchObject({ faults: [{ path: 'bankId' }] });
	});
});

describe('readings', () => {
	let cell: Cell;
	beforeAll(async () => {
		const bank = await make<Bank>('banks', bankFields);
		const delivery = await make<{ id: number }>('deliveries', {
			bankId: bank.id,
			name: 'Crate',
			receivedOn: '2026-03-09',
			cellCount: 1,
			labelPrefix: 'R'
		});
		cell = (await cells.all({ deliveryId: delivery.id }))[0]!;
	});
	it('keep what was typed, its unit, and the meter doubt', async () => {
		const reading = await make<Reading>('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: '3294 mV' });
		// ±(0.05 % of 3.294 V + 2 mV) as uniform
		expect(reading).toMatchObject({
			value: 3.294,
			rawText: '3294 mV',
			rawUnit: 'mV',
			sd: expect.closeTo(0.003647 / Math.sqrt(3), 9)
		});
	});
	it('are stored once however often they are sent', async () => {
		const body = { cellId: cell.id, quantity: 'acResistance', rawText: '0.18', clientKey: 'same-key' };
		const [a, b] = [await make<Reading>('readings', body), await make<Reading>('readings', body)];
		expect(a.id).toBe(b.id);
		expect(await readings.all({ cellId: cell.id, quantity: 'acResistance' })).toHaveLength(1);
	});
	it('derive their value again when corrected', async () => {
		const reading = await make<Reading>('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: '32.98' });
		expect(await change('readings', reading.id, { version: 1, rawText: '3.298' })).toMatchObject({
			value: 3.298,
			version: 2
		});
	});
	it('refuse words', async () => {
		await expect(make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: 'low' })).rejects.toMatchObject({
			code: 'reading-format'
		});
	});
});

it('treats SQL in a name as a name', async () => {
	const name = "Robert'); drop table banks; -- <script>alert(1)</script> =cmd()";
	expect(await make<Bank>('banks', { ...bankFields, name })).toMatchObject({ name });
	expect((await listRecords(recordKind('banks'), query(''))).total).toBeGreaterThan(0);
});
