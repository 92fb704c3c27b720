import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankVerdicts } from '$lib/server/judgements/store';
import { banks, batteries, cells, type Bank } from '$lib/server/records';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { freshDatabase } from '../support/database';
import { change, make } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('match-refused');
});
afterAll(() => pool.destroy());

async function tested(name: string, capacities: number[]) {
	const type = await make<{ id: number }>('cell-types', { name: `${name} cell`, chemistry: 'LFP', ratedAh: 100 });
	const layout = { series: 2, parallel: 1, cellTypeId: type.id };
	const bank = await make<Bank>('banks', { name, bankUse: 'cabin', chemistry: 'LFP', ...layout });
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-06-01', labelPrefix: 'M' };
	const delivery = await make<{ id: number }>('deliveries', { ...crate, cellCount: capacities.length });
	const own = await cells.all({ deliveryId: delivery.id });
	for (const [i, capacityAh] of capacities.entries())
		await make('runs', {
			cellId: own[i]!.id,
			capacityAh,
			sdAh: 1,
			temperatureC: 25,
			currentA: -20,
			testedAt: '2026-06-05'
		});
	return { bank, ids: own.map((c) => c.id) };
}
const refusal = async (bankId: number) =>
	(await bankVerdicts(bankId, 'match')).find((v) => v.code === 'match-refused') ?? null;

describe('groups that should not be in series', () => {
	it('are refused with the reason, built with one that is written, and it stays on the battery while it is so', async () => {
		const { bank, ids } = await tested('Stubborn', [100, 80, 101]);
		const unlike = { groups: [[ids[0]!], [ids[1]!]] };
		await expect(acceptMatch(bank.id, unlike)).rejects.toMatchObject({
			status: 409,
			code: 'should-not-be-built',
			message: expect.stringContaining('Groups 25 % of the smallest apart in capacity')
		});
		await expect(acceptMatch(bank.id, { ...unlike, despite: '  ' })).rejects.toMatchObject({ status: 409 });
		expect((await batteries.all({ bankId: bank.id }))[0]).toMatchObject({ builtDespite: null });
		await acceptMatch(bank.id, { ...unlike, despite: 'Only for the summer' });
		expect((await batteries.all({ bankId: bank.id }))[0]).toMatchObject({ builtDespite: 'Only for the summer' });
		expect(await refusal(bank.id)).toMatchObject({ warmth: 'calm', facts: { despite: 'Only for the summer' } });
		await acceptMatch(bank.id, { groups: [[ids[0]!], [ids[2]!]] });
		expect((await batteries.all({ bankId: bank.id }))[0]).toMatchObject({ builtDespite: null });
		expect(await refusal(bank.id)).toBeNull();
	});
	it('a leak found later glows on the battery, which nobody has written a reason for', async () => {
		const { bank, ids } = await tested('Later', [100, 101]);
		await acceptMatch(bank.id, { groups: [[ids[0]!], [ids[1]!]] });
		expect(await refusal(bank.id)).toBeNull();
		await make('inspections', { cellId: ids[1]!, leak: 'bad' });
		const told = await refusal(bank.id);
		expect(told).toMatchObject({ warmth: 'look', facts: { refusals: [{ why: 'stopped', found: 'M-02' }] } });
		expect(told!.members.map((m) => m.id)).toEqual([ids[1]]);
	});
	it('two batteries side by side may be of unlike cells: only what stands in series is held together', async () => {
		const { bank, ids } = await tested('Beside', [100, 101, 80, 81]);
		const { version } = await banks.get(bank.id);
		await change('banks', bank.id, { version, batteries: 2 });
		await acceptMatch(bank.id, { groups: ids.map((id) => [id]) });
		expect(await refusal(bank.id)).toBeNull();
		const crossed = { groups: [[ids[0]!], [ids[2]!], [ids[1]!], [ids[3]!]] };
		await expect(acceptMatch(bank.id, crossed)).rejects.toMatchObject({ code: 'should-not-be-built' });
	});
	it('a cell that is named twice, or of another bank, is told before anything else', async () => {
		const { bank, ids } = await tested('Shape', [100, 60]);
		await expect(acceptMatch(bank.id, { groups: [[ids[0]!], [ids[0]!]] })).rejects.toMatchObject({
			faults: [{ path: 'groups' }]
		});
		await expect(acceptMatch(bank.id, { groups: [[ids[0]!], [999_999]] })).rejects.toMatchObject({
			faults: [{ path: 'groups' }]
		});
	});
});
