import { expect } from 'vitest';
import { database } from '$lib/server/db/connection';
import { cells, groups, placements, type Bank, type Cell, type Group } from '$lib/server/records';
import { make } from './records';

export const layout = { bankUse: 'van', chemistry: 'LFP', series: 2, parallel: 1 };

export interface Fixture {
	bank: Bank;
	crate: Cell[];
	places: Group[];
}

export async function bankWith(name: string, cellCount: number, more: object = {}): Promise<Fixture> {
	const bank = await make<Bank>('banks', { ...layout, ...more, name });
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-03-09', cellCount };
	const delivery = await make<{ id: number }>('deliveries', crate);
	const own = (await database()('batteries').where({ bank_id: bank.id }).pluck('id')) as number[];
	return { bank, crate: await cells.all({ deliveryId: delivery.id }), places: await groups.all({ batteryId: own }) };
}

/** Every rule that must hold whatever anybody does at once. */
export async function expectInvariants(): Promise<void> {
	const open = await placements.all({ removedAt: null });
	expect(new Set(open.map((p) => p.cellId)).size, 'a cell stands in one place').toBe(open.length);
	const rows = (sql: string) =>
		database()
			.raw(sql)
			.then(([r]: [unknown[]]) => r);
	expect(
		await rows(`select g.id, count(*) n, b.parallel from placements p join \`groups\` g on g.id = p.group_id
			join batteries b on b.id = g.battery_id where p.open_cell_id is not null group by g.id, b.parallel having n > b.parallel`),
		'a group holds no more than its places'
	).toEqual([]);
	expect(
		await rows(`select p.id from placements p join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id
			where p.open_cell_id is not null and (g.deleted_at is not null or b.deleted_at is not null)`),
		'nobody stands where there is no place any more'
	).toEqual([]);
	expect(
		await rows(`select k.id from banks k where k.deleted_at is null and k.batteries <>
			(select count(*) from batteries b where b.bank_id = k.id and b.deleted_at is null)`),
		'a bank has as many batteries as it says'
	).toEqual([]);
	expect(
		await rows(`select b.id from batteries b where b.deleted_at is null and b.series <>
			(select count(*) from \`groups\` g where g.battery_id = b.id and g.deleted_at is null)`),
		'a battery has as many groups as it says'
	).toEqual([]);
	expect(
		await rows(`select p.id from placed p join cells c on c.id = p.cell_id join deliveries d on d.id = c.delivery_id
			join banks k on k.id = p.bank_id where d.rehearsal <> k.rehearsal`),
		'simulated and real cells stay apart'
	).toEqual([]);
	expect(
		await rows(`select c.id from candidates c where deleted_at is null group by bank_id, cell_id having count(*) > 1`),
		'a cell is considered once'
	).toEqual([]);
}

export const settled = (work: Promise<unknown>[]) => Promise.allSettled(work);
/** Refusals are answers; anything else is a fault. */
export function expectRefusals(results: PromiseSettledResult<unknown>[]): void {
	for (const r of results)
		if (r.status === 'rejected')
			expect(['InputError', 'ServiceError', 'CoreError']).toContain((r.reason as Error).name);
}
