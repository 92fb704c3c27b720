import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankCapacities } from '$lib/core/test/capacities';
import { earlierLots } from '$lib/server/bank-picture/earlier-lots';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { cells, type Bank, type Delivery } from '$lib/server/records';
import { bankVerdicts } from '$lib/server/judgements/store';
import { stockPage } from '$lib/server/stock/stock';
import { freshDatabase } from '../support/database';
import { change, make } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('lots');
});
afterAll(() => pool.destroy());

async function testedBank(name: string, cellTypeId: number, tester: string | null, ahs: number[]): Promise<Bank> {
	const bank = await make<Bank>('banks', {
		name,
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cellTypeId
	});
	const delivery = await make<Delivery>('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-10-22',
		cellCount: ahs.length
	});
	const own = await cells.all({ deliveryId: delivery.id });
	for (const [i, capacityAh] of ahs.entries())
		await make('runs', { cellId: own[i]!.id, capacityAh, temperatureC: 25, tester });
	return bank;
}
const lotCells = async ({ id }: Bank) =>
	bankCapacities(await loadBankPicture(id)).map((c) => c.judgement!.verdict.facts.lotCells);

describe('lots of a cell type', () => {
	it('that were run before on another tester are taken into the chance; those on the same, or of another type, are not', async () => {
		const type = await make<{ id: number }>('cell-types', { name: 'T280', chemistry: 'LFP', ratedAh: 280 });
		const other = await make<{ id: number }>('cell-types', { name: 'U280', chemistry: 'LFP', ratedAh: 280 });
		await testedBank('First', type.id, 'Bench load', [283, 284, 285, 282]);
		await testedBank('Other', other.id, 'Third load', [290, 291, 292, 289]);
		const second = await testedBank('Second', type.id, 'New load', [279, 280, 281, 278]);
		expect(await lotCells(second)).toEqual([4, 4, 4, 4]);
		const same = await testedBank('Same tester', type.id, 'Bench load', [279, 280, 281, 278]);
		// The second bank's cells on the new load are an earlier lot now; the first one's, on its own load, are not.
		expect(await lotCells(same)).toEqual([4, 4, 4, 4]);
		const alone = await testedBank('Alone', other.id, 'Third load', [279, 280, 281, 278]);
		expect(await lotCells(alone)).toEqual([null, null, null, null]);
	});
});

describe('many lots of a cell type', () => {
	it('tell by the latest eight, and by the first forty cells of each', async () => {
		const type = await make<{ id: number }>('cell-types', { name: 'W280', chemistry: 'LFP', ratedAh: 280 });
		for (let lot = 0; lot < 10; lot++) await testedBank(`Lot ${lot}`, type.id, `Load ${lot}`, [280 + lot]);
		await testedBank(
			'Large',
			type.id,
			'Large load',
			Array.from({ length: 43 }, (_, i) => 270 + i / 10)
		);
		const own = await testedBank('Own', type.id, 'Own load', [283, 284]);
		const lots = await earlierLots(own, []);
		const byTester = new Map(lots.map((l) => [l.tester, l.capacitiesAh]));
		// Its own delivery is left out by its bank; of the rest the eight that came last count.
		expect([...byTester.keys()].sort()).toEqual(
			['Large load', ...[3, 4, 5, 6, 7, 8, 9].map((lot) => `Load ${lot}`)].sort()
		);
		expect(byTester.get('Large load')).toEqual(Array.from({ length: 40 }, (_, i) => 270 + i / 10));
	});
});

describe('a run at another temperature on purpose', () => {
	it('leaves the capacity, the stock and other lots as they are; called an ordinary one it counts again', async () => {
		const type = await make<{ id: number }>('cell-types', { name: 'V280', chemistry: 'LFP', ratedAh: 280 });
		const bank = await testedBank('Frost', type.id, 'Shed', [283, 284, 285, 282]);
		const shown = async () => bankCapacities(await loadBankPicture(bank.id))[0]!;
		const before = (await shown()).capacityAh;
		const [first] = await cells.all({ deliveryId: (await shown()).cell.deliveryId });
		const about = { cellId: first!.id, capacityAh: 241, temperatureC: 0, heldAtC: 0, tester: 'Shed' };
		const kept = await make<{ id: number; version: number }>('runs', about);
		expect((await shown()).capacityAh).toBe(before);
		const stock = await stockPage(new URLSearchParams(`q=${first!.label}`), Infinity);
		expect(stock.cells.find((c) => c.id === first!.id)!.capacityAh).toBe(283);
		const codes = async () => (await bankVerdicts(bank.id, 'test')).map((v) => v.code);
		expect(await codes()).toContain('at-temperatures');
		await change('runs', kept.id, { version: kept.version, heldAtC: null });
		expect(await codes()).not.toContain('at-temperatures');
		await expect(make('runs', { ...about, heldAtC: 200 })).rejects.toMatchObject({ faults: [{ path: 'heldAtC' }] });
	});
});
