import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { balanceRuns, batteries, cells, type Bank, type Battery } from '$lib/server/records';
import { insertRunSamples, readRunSamples } from '$lib/server/db/run-samples';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { bankOverview, homeOverview } from '$lib/server/home/overview';
import { changeSettings, readSettings } from '$lib/server/settings/settings';
import { bankVerdicts } from '$lib/server/judgements/store';
import { freshDatabase } from '../support/database';
import { balanceOf, change, limitsOf, make, remove, serveOf, traysOf } from '../support/records';

let pool: Knex;
const stage = async (id: number) => (await bankOverview(id)).current;

beforeAll(async () => void (pool = await freshDatabase('overview')));
afterAll(() => pool.destroy());

it('follows a bank from an empty plan to service', async () => {
	const bank = await make<Bank>('banks', { name: 'Steps', bankUse: 'van', chemistry: 'LFP', series: 2, parallel: 1 });
	expect(await stage(bank.id)).toBe('plan');
	expect((await bankOverview(bank.id)).first).toMatchObject({ stage: 'plan', code: 'no-cell-type' });

	const type = await make<{ id: number }>('cell-types', { name: 'S', chemistry: 'LFP', ratedAh: 50 });
	await change('banks', bank.id, { cellTypeId: type.id, version: 1 });
	expect(await stage(bank.id)).toBe('receive');

	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-01-01',
		cellCount: 2
	});
	const tray = await cells.all({ deliveryId: delivery.id });
	expect(tray.map((c) => c.label)).toEqual(['C-01', 'C-02']);
	for (const cell of tray) {
		await make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: '3.29' });
		await make('readings', { cellId: cell.id, quantity: 'acResistance', rawText: '0.7' });
	}
	expect(await stage(bank.id)).toBe('test');

	for (const cell of tray) await make('runs', { cellId: cell.id, capacityAh: 51, temperatureC: 25 });
	expect(await stage(bank.id)).toBe('match');

	const half = await make<{ id: number; version: number }>('placements', {
		cellId: tray[0]!.id,
		bankId: bank.id,
		battery: 1,
		position: 1
	});
	expect(await stage(bank.id)).toBe('match');
	expect(await bankVerdicts(bank.id, 'match')).toMatchObject([
		{ code: 'match-partly', facts: { placed: 1, wanted: 2 } }
	]);
	await remove('placements', half.id, half.version);
	await acceptMatch(bank.id, { groups: tray.map((c) => [c.id]) });
	expect(await stage(bank.id)).toBe('balance');

	const run = await make<{ id: number; version: number }>('balance-runs', {
		bankId: bank.id,
		supplyA: 10,
		leadOhm: 0.01,
		startedAt: '2026-01-05T08:00:00Z'
	});
	expect((await bankOverview(bank.id)).running).toMatchObject([{ what: 'Top balance', figures: 'no reading yet' }]);
	await change('balance-runs', run.id, { endedAt: '2026-01-07T08:00:00Z', version: run.version });
	expect((await bankOverview(bank.id)).running).toEqual([]);
	// Ended is not done: nothing was read.
	expect(await stage(bank.id)).toBe('balance');
	expect(await bankVerdicts(bank.id, 'balance')).toMatchObject([{ code: 'balance-ended', warmth: 'look' }]);
	// Above its limit when it was read last: said first, ended or not, whatever light there was.
	const high = await make<{ id: number; version: number }>('balance-readings', {
		balanceRunId: run.id,
		supplyA: 0,
		cellV: 3.72,
		stopped: true,
		readAt: '2026-01-06T08:00:00Z'
	});
	expect(await bankVerdicts(bank.id, 'balance')).toMatchObject([{ code: 'row-over', warmth: 'stop' }]);
	await remove('balance-readings', high.id, high.version);
	// Gone on with where it was left: it is running again, by the record as it is.
	const left = await balanceRuns.get(run.id);
	await change('balance-runs', run.id, { endedAt: null, version: left.version });
	expect((await bankOverview(bank.id)).running).toMatchObject([{ what: 'Top balance' }]);
	await change('balance-runs', run.id, { endedAt: '2026-01-07T08:00:00Z', version: left.version + 1 });
	for (const readAt of ['2026-01-06T20:00:00Z', '2026-01-06T20:31:00Z'])
		await make('balance-readings', { balanceRunId: run.id, readAt, supplyV: 3.6, supplyA: 0.5, cellV: 3.6 });
	expect(await bankVerdicts(bank.id, 'balance')).toEqual([]);
	expect(await stage(bank.id)).toBe('build');

	// Leads read one by one, and every joint with its torque.
	const [{ id: batteryId }] = (await batteries.all({ bankId: bank.id })) as [Battery];
	expect((await bankVerdicts(bank.id, 'build')).map((v) => v.code)).toEqual(['leads-unread', 'torques-open']);
	const readAt = '2026-01-08T10:00:00Z';
	await make('lead-readings', { batteryId, readAt, readingsV: [0, 3.42, null] });
	expect(await bankVerdicts(bank.id, 'build')).toMatchObject([{ code: 'leads-unclear' }, { code: 'torques-open' }]);
	await make('lead-readings', { batteryId, readAt: '2026-01-08T10:01:00Z', readingsV: [0, 3.42, 6.838] });
	// Lead 0 open would read the same: it is proved against battery positive.
	expect((await bankVerdicts(bank.id, 'build'))[0]).toMatchObject({ code: 'leads-unclear', facts: { nextLead: 0 } });
	await make('lead-readings', {
		batteryId,
		readAt: '2026-01-08T10:02:00Z',
		readingsV: [0, 3.42, 6.838],
		positiveV: [-6.838, null, null]
	});
	for (const position of [0, 1, 2])
		await make('joint-torques', { batteryId, position, torqueNm: 5, tightenedAt: readAt });
	expect((await bankVerdicts(bank.id, 'build')).map((v) => v.code)).toEqual(['leads-right', 'torques-kept']);
	expect(await stage(bank.id)).toBe('limits');

	// Chosen is not done: the fuse does not guard its cable.
	const [battery] = await batteries.all({ bankId: bank.id });
	const wired = await change<Battery>('batteries', battery!.id, { version: battery!.version, fuseA: 400, cableA: 20 });
	await make('limit-plans', { bankId: bank.id, strategy: 'long-life' });
	expect(await stage(bank.id)).toBe('limits');
	expect((await bankOverview(bank.id)).first).toMatchObject({ stage: 'limits', code: 'fuse-over-cable' });
	// Nor is what nobody wrote down in order.
	const blank = await change<Battery>('batteries', wired.id, { version: wired.version, fuseA: null, cableA: null });
	expect((await bankVerdicts(bank.id, 'limits')).map((v) => v.code)).toContain('wiring-unknown');
	expect(await stage(bank.id)).toBe('limits');
	await change('batteries', wired.id, { version: blank.version, fuseA: 100, cableA: 120, bmsA: 60 });
	expect((await limitsOf(bank.id)).batteries[0]!.values.find((v) => v.key === 'absorbV')!.value).toBe(6.9);
	expect(await stage(bank.id)).toBe('prove');

	// Proved is what was looked at: joints under load, the BMS, the counters, the capacity; and nothing temporary left in.
	expect((await bankVerdicts(bank.id, 'prove'))[0]).toMatchObject({ code: 'prove-open', facts: { checked: 4 } });
	await make('load-readings', { batteryId, readAt, restV: [3.33, 3.33], loadV: [3.3, 3.3], currentA: -50 });
	await make('bms-comparisons', { batteryId, readAt, bmsV: [3.331, 3.33], meterV: [3.33, 3.33] });
	await make('charge-counts', { batteryId, countedAt: readAt, chargedAh: 51, dischargedAh: 50.9 });
	await make('capacity-tests', { bankId: bank.id, testedAt: readAt, capacityAh: 51, sdAh: 0.5 });
	expect((await bankVerdicts(bank.id, 'prove'))[0]!.code).toBe('prove-checked');
	const part = await make<Battery>('temporary-parts', { batteryId, name: 'thin link', putInAt: readAt });
	expect(await stage(bank.id)).toBe('build');
	expect((await bankVerdicts(bank.id, 'prove'))[0]).toMatchObject({ code: 'prove-shut', warmth: 'stop' });
	await change('temporary-parts', part.id, { version: part.version, takenOutAt: '2026-01-09T10:00:00Z' });
	expect(await stage(bank.id)).toBe('serve');
});

describe('a bank without a cell type', () => {
	it('says so instead of guessing limits, and has no balance to plan', async () => {
		const bank = await make<Bank>('banks', {
			name: 'Bare',
			bankUse: 'other',
			chemistry: 'LTO',
			series: 6,
			parallel: 1
		});
		expect(await limitsOf(bank.id)).toMatchObject({ batteries: [] });
		expect(await bankVerdicts(bank.id, 'limits')).toMatchObject([{ code: 'no-cell-type' }]);
		expect(await balanceOf(bank.id)).toMatchObject({ cells: [], plan: null, join: null, progress: null });
		expect(await serveOf(bank.id)).toMatchObject({ projection: null, verdicts: [] });
		expect(await traysOf(bank.id)).toEqual([]);
	});
	it('explains figures that leave no window', async () => {
		const type = await make<{ id: number }>('cell-types', {
			name: 'Odd',
			chemistry: 'LFP',
			ratedAh: 50,
			dischargeLimitV: 3.4
		});
		const bank = await make<Bank>('banks', {
			name: 'Odd',
			bankUse: 'van',
			chemistry: 'LFP',
			series: 4,
			parallel: 1,
			cellTypeId: type.id
		});
		expect((await bankVerdicts(bank.id, 'limits'))[0]).toMatchObject({
			code: 'limits-no-room',
			facts: { cause: 'maker-limits' },
			title: 'These figures leave no room'
		});
	});
});

it('a change names only the fields it changes', async () => {
	const bank = await make<Bank>('banks', {
		name: 'Kept',
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		batteries: 3,
		endFraction: 0.7
	});
	expect(await change('banks', bank.id, { notes: 'x', version: 1 })).toMatchObject({
		batteries: 3,
		endFraction: 0.7,
		notes: 'x'
	});
});

it('of two changes at the same moment exactly one is taken', async () => {
	const bank = await make<Bank>('banks', { name: 'Race', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const outcomes = await Promise.allSettled(
		['a', 'b', 'c'].map((notes) => change('banks', bank.id, { notes, version: 1 }))
	);
	expect(outcomes.filter((o) => o.status === 'fulfilled')).toHaveLength(1);
	for (const o of outcomes) if (o.status === 'rejected') expect(o.reason).toMatchObject({ code: 'stale' });
});

it('samples beyond one statement are stored in order', async () => {
	const bank = await make<Bank>('banks', { name: 'Long', bankUse: 'van', chemistry: 'LFP', series: 1, parallel: 1 });
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-01-01',
		cellCount: 1
	});
	const [cell] = await cells.all({ deliveryId: delivery.id });
	const run = await make<{ id: number }>('runs', { cellId: cell!.id, capacityAh: 10 });
	const n = 12_001;
	const timeS = Array.from({ length: n }, (_, i) => i);
	await insertRunSamples(
		run.id,
		{ timeS, voltageV: timeS.map((t) => 3.3 - t / 1e6), currentA: timeS.map(() => -5) },
		pool
	);
	const read = await readRunSamples(run.id);
	expect(read.timeS).toEqual(timeS);
	expect(read.voltageV[n - 1]).toBeCloseTo(3.3 - (n - 1) / 1e6, 12);
});

describe('settings', () => {
	it('start with defaults and change one at a time', async () => {
		expect(await readSettings()).toMatchObject({ units: 'metric', theme: 'ash', voltMeterCountsMv: 2 });
		await changeSettings({ units: 'us' });
		expect(await changeSettings({ theme: 'coal' })).toMatchObject({ units: 'us', theme: 'coal' });
		await expect(changeSettings({ theme: 'pink' })).rejects.toMatchObject({ faults: [{ path: 'theme' }] });
	});
	it('of the meter decide the doubt of a reading, and whether a cell is blamed', async () => {
		const bank = await make<Bank>('banks', { name: 'Meter', bankUse: 'van', chemistry: 'LFP', series: 6, parallel: 1 });
		const delivery = await make<{ id: number }>('deliveries', {
			bankId: bank.id,
			name: 'Box',
			receivedOn: '2026-01-01',
			cellCount: 6
		});
		const tray = await cells.all({ deliveryId: delivery.id });
		await changeSettings({ voltMeterPercent: 0, voltMeterCountsMv: 1 });
		for (const [i, cell] of tray.entries())
			await make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText: i === 5 ? '3.27' : '3.29' });
		const codes = async () => (await traysOf(bank.id))[0]!.verdicts.map((v) => v.code);
		expect(await codes()).toContain('voltage-outlier');
		await changeSettings({ voltMeterCountsMv: 30 });
		expect(await codes()).not.toContain('voltage-outlier');
		const doubtful = await make<{ sd: number }>('readings', {
			cellId: tray[0]!.id,
			quantity: 'restVoltage',
			rawText: '3.29'
		});
		expect(doubtful.sd).toBeCloseTo(0.03 / Math.sqrt(3), 9);
	});
});

it('Home shows those at a stage or of a use, and refuses what is neither', async () => {
	const boat = await make<Bank>('banks', {
		name: 'Filter boat',
		bankUse: 'boat',
		chemistry: 'LFP',
		series: 4,
		parallel: 1
	});
	const van = await make<Bank>('banks', {
		name: 'Filter van',
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1
	});
	const names = async (query: string) =>
		(await homeOverview(new URLSearchParams(`q=Filter&${query}`), Infinity)).real.map((b) => b.id);
	expect(await names('use=boat')).toEqual([boat.id]);
	expect(await names('use=van&stage=plan')).toEqual([van.id]);
	expect(await names('stage=serve')).toEqual([]);
	await expect(names('stage=nowhere')).rejects.toMatchObject({ faults: [{ path: 'stage' }] });
});
