import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankVerdicts } from '$lib/server/judgements/store';
import { cells, modules } from '$lib/server/records';
import { receivePage } from '$lib/server/stages/receive/page';
import { freshDatabase } from '../support/database';
import { change, make, remove } from '../support/records';

let pool: Knex;
let bankId: number;
beforeAll(async () => {
	pool = await freshDatabase('modules');
	const about = { bankUse: 'cabin', chemistry: 'LFP', series: 16, parallel: 1 };
	bankId = (await make<{ id: number }>('banks', { name: 'Salvage', ...about })).id;
});
afterAll(() => pool.destroy());

const crate = (more: object = {}) =>
	make<{ id: number; version: number }>('deliveries', {
		bankId,
		name: 'Yard',
		receivedOn: '2026-05-01',
		cellCount: 16,
		labelPrefix: 'S',
		used: true,
		moduleSeries: 8,
		moduleParallel: 1,
		...more
	});
const codes = async (stage: 'receive' | 'test') => (await bankVerdicts(bankId, stage)).map((v) => v.code);

describe('cells that came as modules', () => {
	it('are refused where they do not make whole ones, or half of it is said', async () => {
		await expect(crate({ cellCount: 15 })).rejects.toMatchObject({ faults: [{ path: 'moduleSeries' }] });
		await expect(crate({ moduleParallel: null })).rejects.toMatchObject({ faults: [{ path: 'moduleParallel' }] });
	});
	it('are labelled by their module, read as one piece, and then one by one', async () => {
		const yard = await crate();
		const own = await cells.all({ deliveryId: yard.id });
		expect(own.map((c) => c.label).filter((l) => l.endsWith('-01'))).toEqual(['S1-01', 'S2-01']);
		// Nobody is asked for a reading of a cell whose terminals nobody can reach.
		expect(await codes('receive')).toContain('modules-whole');
		expect(await codes('receive')).not.toContain('not-read');
		expect(await codes('test')).not.toContain('untested');
		const first = await make<{ id: number; version: number; readAt: string | null }>('modules', {
			deliveryId: yard.id,
			number: 1,
			voltageV: 26.4
		});
		expect(first.readAt).not.toBeNull();
		await make('modules', { deliveryId: yard.id, number: 2, voltageV: 19.2, seen: ['swelling'] });
		const said = await bankVerdicts(bankId, 'receive');
		expect(said.filter((v) => v.subject.kind === 'module').map((v) => [v.subject.label, v.code])).toEqual(
			expect.arrayContaining([
				['S1', 'module-volts'],
				['S2', 'module-damaged'],
				['S2', 'module-low']
			])
		);
		const opened = await change<{ version: number }>('modules', first.id, {
			version: first.version,
			openedOn: '2026-05-03'
		});
		const waiting = (await bankVerdicts(bankId, 'receive')).find((v) => v.code === 'not-read')!;
		expect(waiting.members.map((m) => m.label)).toHaveLength(8);
		const untested = (await bankVerdicts(bankId, 'test')).find((v) => v.code === 'untested')!;
		expect(untested.members).toHaveLength(8);
		const { trays } = await receivePage(bankId);
		expect(trays[0]!.modules.map((m) => [m.label, m.cells, m.record?.openedOn?.slice(0, 10) ?? null])).toEqual([
			['S1', 8, '2026-05-03'],
			['S2', 8, null]
		]);
		await change('modules', first.id, { version: opened.version, openedOn: null });
		expect(await codes('receive')).not.toContain('not-read');
	});
	it('go on counting their modules with the next crate', async () => {
		const next = await crate({ name: 'Yard again', cellCount: 8 });
		expect((await cells.all({ deliveryId: next.id })).map((c) => c.label)[0]).toBe('S3-01');
	});
	it('keep one record a module, of one that is there, with as many groups as it has', async () => {
		const [{ deliveryId }] = (await modules.all({})) as unknown as [{ deliveryId: number }];
		const refused = (fields: object) => make('modules', { deliveryId, ...fields });
		await expect(refused({ number: 1 })).rejects.toMatchObject({ code: 'already-there' });
		await expect(refused({ number: 3 })).rejects.toMatchObject({ faults: [{ path: 'number' }] });
		const single = await make<{ id: number }>('deliveries', {
			bankId,
			name: 'Singles',
			receivedOn: '2026-05-02',
			cellCount: 2,
			labelPrefix: 'T'
		});
		await expect(make('modules', { deliveryId: single.id, number: 1 })).rejects.toMatchObject({
			faults: [{ path: 'deliveryId' }]
		});
		const [first] = await modules.all({ deliveryId });
		await expect(change('modules', first!.id, { version: first!.version, groupsV: [3.3, 3.3] })).rejects.toMatchObject({
			faults: [{ path: 'groupsV' }]
		});
		// How they are made stands while they are read; the record can be taken out, and another written.
		const yard = await pool('deliveries').where({ id: deliveryId }).first('version');
		await expect(change('deliveries', deliveryId, { version: yard.version, moduleSeries: 4 })).rejects.toMatchObject({
			faults: [{ path: 'moduleSeries' }]
		});
		await remove('modules', first!.id, first!.version);
		await make('modules', { deliveryId, number: 1, groupsV: [3.3, 3.3, 3.3, 3.3, 3.3, 3.3, 3.3, 2.9] });
		expect(await codes('receive')).toContain('module-group-low');
		// The database itself keeps one a module.
		await expect(
			pool('modules').insert({ delivery_id: deliveryId, number: 1, created_at: new Date(), updated_at: new Date() })
		).rejects.toMatchObject({ errno: 1062 });
	});
});
