import knexFactory, { type Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, openDatabase, useDatabase } from '$lib/server/db/connection';
import { startLive } from '$lib/core/foundation/live-run';
import { readLiveMinutes } from '$lib/server/db/live-minutes';
import {
	banks,
	batteries,
	capacityTests,
	cellTypes,
	limitPlans,
	liveRuns,
	placements,
	readings
} from '$lib/server/records';
import { listCellTypes } from '$lib/server/stock/cell-types';
import { bankOverview } from '$lib/server/home/overview';
import { make, traysOf } from '../support/records';

let pool: Knex;

/** A database as the first release left it, with a bank, its cells and a reading. */
beforeAll(async () => {
	const url = new URL(process.env.TEST_DATABASE_URL!);
	const admin = knexFactory({ client: 'mysql2', connection: url.toString() });
	await admin.raw('drop database if exists kind_ember_first');
	await admin.raw('create database kind_ember_first character set utf8mb4');
	await admin.destroy();
	url.pathname = '/kind_ember_first';
	pool = openDatabase(url.toString());
	useDatabase(pool);
	await pool.migrate.up();
	const stamp = { created_at: new Date(), updated_at: new Date() };
	const [type] = await pool('cell_types').insert({ name: 'Old type', chemistry: 'LFP', rated_ah: 100, ...stamp });
	const bank = {
		name: 'Old bank',
		bank_use: 'boat',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cell_type_id: type,
		...stamp
	};
	const [bankId] = await pool('banks').insert(bank);
	const [delivery] = await pool('deliveries').insert({
		bank_id: bankId,
		name: 'Crate',
		received_on: new Date(),
		...stamp
	});
	const [cell] = await pool('cells').insert({ delivery_id: delivery, label: 'C-01', position: 1, ...stamp });
	const reading = { cell_id: cell, quantity: 'restVoltage', value: 3.29, raw_text: '3.29', raw_unit: 'V', sd: 0.001 };
	await pool('readings').insert({ ...reading, taken_at: new Date(), client_key: 'sent-once', ...stamp });
	const placed = (position: number, days: number, more: object = {}) => ({
		cell_id: cell,
		bank_id: bankId,
		battery: 1,
		position,
		placed_at: new Date(2026, 0, days),
		...stamp,
		...more
	});
	// A cell in two places at once, and one where the bank has no place: the first release let both be.
	const [other] = await pool('cells').insert({ delivery_id: delivery, label: 'C-02', position: 2, ...stamp });
	await pool('placements').insert([
		placed(1, 1),
		placed(2, 2),
		placed(128, 3, { cell_id: other, battery: 32 }),
		placed(3, 1, { removed_at: new Date(2026, 0, 2) })
	]);
	const tested = (days: number, efc: number) => ({
		bank_id: bankId,
		battery: 1,
		tested_at: new Date(Date.now() + days * 86_400_000),
		capacity_ah: 99,
		sd_ah: 1,
		efc,
		...stamp
	});
	await pool('capacity_tests').insert([tested(1, 0), tested(400, 0), tested(800, 120)]);
	await pool('limit_plans').insert({ bank_id: bankId, strategy: 'long-life', bms_a: 100, fuse_a: 125, ...stamp });
});
afterAll(() => pool.destroy());

describe('a database of the first release', () => {
	it('has no live runs before, and is brought up to date with everything in it', async () => {
		expect(await pool.schema.hasTable('live_runs')).toBe(false);
		await migrate(pool);
		const [bank] = await banks.all({});
		expect(bank).toMatchObject({ name: 'Old bank', rehearsal: false });
		expect((await cellTypes.all({}))[0]).toMatchObject({ name: 'Old type', rehearsal: false });
		expect((await readings.all({}))[0]!.value).toBe(3.29);
		expect((await listCellTypes()).map((t) => t.name)).toEqual(['Old type']);
		expect((await bankOverview(bank!.id)).running).toEqual([]);
	});
	it('has batteries, groups and candidates; each cell stands in one place, and its history is kept', async () => {
		const [bank] = await banks.all({});
		expect(await batteries.all({ bankId: bank!.id })).toMatchObject([
			{ number: 1, kind: 'built', series: 4, parallel: 1, bmsA: 100, fuseA: 125, cableA: null }
		]);
		const now = await placements.all({ bankId: bank!.id, removedAt: null });
		expect(now.map((p) => [p.battery, p.position])).toEqual([[1, 2]]);
		expect(await placements.all({ bankId: bank!.id })).toHaveLength(4);
		expect((await traysOf(bank!.id))[0]!.cells.map((c) => c.label)).toEqual(['C-01', 'C-02']);
		expect(await limitPlans.all({})).toMatchObject([{ strategy: 'long-life' }]);
	});
	it('still knows a reading that was sent, and keeps a cell from being placed twice by itself', async () => {
		const [reading] = await readings.all({});
		const again = { cellId: reading!.cellId, quantity: 'restVoltage', rawText: '3.29', clientKey: 'sent-once' };
		expect(await make('readings', again)).toMatchObject({ id: reading!.id });
		const [place] = await placements.all({ removedAt: null });
		const twice = { cell_id: place!.cellId, group_id: place!.groupId, placed_at: new Date() };
		const stamp = { created_at: new Date(), updated_at: new Date() };
		await expect(pool('placements').insert({ ...twice, ...stamp })).rejects.toMatchObject({ code: 'ER_DUP_ENTRY' });
	});
	it('gets the minutes of the live runs it has', async () => {
		await pool('live_minutes').delete();
		await pool('knex_migrations').where({ name: '003-live-minutes' }).delete();
		await pool.schema.dropTable('live_minutes');
		const run = await liveRuns.insert({
			bankId: (await banks.all({}))[0]!.id,
			kind: 'watch',
			state: 'ended',
			instruments: [],
			phases: [{ kind: 'watch' }],
			intervalMs: 1000,
			deadManS: 20,
			progress: startLive()
		});
		const at = (ms: number, voltage: number | null) => ({
			live_run_id: run.id,
			at_ms: ms,
			phase: 0,
			voltage_v: voltage,
			current_a: -1
		});
		await pool('live_samples').insert([at(120_001, 13.2), at(150_000, 13.1), at(150_001, null), at(180_000, 13.3)]);
		await migrate(pool);
		expect((await readLiveMinutes(run.id)).map((m) => [m.atMs, m.voltageV])).toEqual([
			[120_000, 13.1],
			[150_000, 13.2],
			[180_000, 13.3],
			[210_000, 13.3]
		]);
	});
	it('does not take cycles nobody counted for none: a blank after a month of work is not known', async () => {
		expect((await capacityTests.all({})).map((t) => t.efc)).toEqual([0, null, 120]);
	});
	it('is left alone the second time', async () => {
		await migrate(pool);
		expect((await pool('knex_migrations').orderBy('name').select('name')).map((m: { name: string }) => m.name)).toEqual(
			[
				'001-first-bench',
				'002-live-bench',
				'003-live-minutes',
				'004-stock',
				'005-judgements',
				'006-uncounted-cycles',
				'007-turned-cells',
				'008-build-and-prove',
				'009-plan-and-passings',
				'010-receive-and-test',
				'011-balance-methods',
				'012-steps-from-logs',
				'013-right',
				'014-whole-work',
				'015-judged-checks',
				'016-many-cells',
				'017-words-when-read'
			]
		);
	});
});
