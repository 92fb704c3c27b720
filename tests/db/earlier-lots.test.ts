import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankCapacities } from '$lib/core/stages';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { cells, type Bank, type Delivery } from '$lib/server/records';
import { freshDatabase } from '../support/database';
import { make } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('lots');
});
afterAll(() => pool.destroy());

async function testedBank(name: string, cellTypeId: number, tester: string | null, ahs: number[]): Promise<Bank> {
	const bank = await make<Bank>('banks', {
		...{ name, bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1, cellTypeId }
	});
	const delivery = await make<Delivery>('deliveries', {
		...{ bankId: bank.id, name: 'Crate', receivedOn: '2026-10-22', cellCount: ahs.length }
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
