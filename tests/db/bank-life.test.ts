import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seededRandom } from '$lib/core/foundation/statistics';
import { cells, placements, type Bank, type Cell } from '$lib/server/records';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { bankOverview } from '$lib/server/home/overview';
import { cellPassport } from '$lib/server/passport/passport';
import { importRun, runCurve } from '$lib/server/stages/test/runs';
import { drawCrate, testerLog } from '$demo/hidden-cells';
import { bankVerdicts } from '$lib/server/judgements/store';
import { exportTable } from '$lib/server/exchange/export';
import { freshDatabase } from '../support/database';
import { balanceOf, bytesOf, capacitiesOf, limitsOf, make, matchOf, serveOf } from '../support/records';

let pool: Knex;
let bank: Bank;
let tray: Cell[];
const options = {
	fileName: 'a.csv',
	temperatureC: 25,
	testedAt: '2026-03-12T10:00:00Z',
	tester: null,
	bridgeGaps: false
};

beforeAll(async () => {
	pool = await freshDatabase('life');
	const type = await make<{ id: number }>('cell-types', { name: 'T100', chemistry: 'LFP', ratedAh: 100 });
	bank = await make<Bank>('banks', {
		name: '=cmd()',
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cellTypeId: type.id,
		inServiceOn: '2024-03-01'
	});
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-03-09',
		cellCount: 5,
		labelPrefix: 'L'
	});
	tray = await cells.all({ deliveryId: delivery.id });
	for (const [i, cell] of tray.entries())
		await make('readings', {
			cellId: cell.id,
			quantity: 'restVoltage',
			rawText: `3.29${i}`,
			takenAt: '2026-03-10T10:00:00Z'
		});
});
afterAll(() => pool.destroy());

describe('a bank from delivery to service', () => {
	it('imports a tester log and keeps every sample', async () => {
		const random = seededRandom(3);
		const [hidden] = drawCrate(random, { ratedAh: 100, count: 1, capacityMean: 1.02, capacitySd: 0, soc: 0.4 });
		const log = testerLog(random, { ...hidden!, truth: { ...hidden!.truth, temperatureC: 25 } }, 100, 0);
		const { run, analysis } = await importRun(tray[0]!.id, bytesOf(log), options);
		expect(run.capacityAh).toBeGreaterThan(100.5);
		expect(run.capacityAh).toBeLessThan(102.5);
		expect(analysis.faults.map((f) => f.code)).toEqual(['sign-flipped']);
		const [counted] = await pool('run_samples').where({ run_id: run.id }).count({ n: '*' });
		expect(Number(counted!.n)).toBe(log.split('\n').length - 1);
		const { curve } = await runCurve(run.id);
		expect(curve.dischargedAh.at(-1)).toBeCloseTo(run.capacityAh, 6);
	});
	it('stores nothing of a log without a discharge', async () => {
		const before = Number((await pool('runs').count({ n: '*' }))[0]!.n);
		await expect(
			importRun(tray[0]!.id, bytesOf('time_s,voltage_V,current_A\n0,3.3,0\n10,3.3,0\n20,3.3,0'), options)
		).rejects.toMatchObject({ code: 'log-no-discharge' });
		expect(Number((await pool('runs').count({ n: '*' }))[0]!.n)).toBe(before);
	});
	it('judges against rated and matches only measured cells', async () => {
		for (const [i, cell] of tray.slice(1).entries())
			await make('runs', { cellId: cell.id, capacityAh: 99 + i, sdAh: 0.5, temperatureC: 25 });
		const capacities = await capacitiesOf(bank.id);
		expect(capacities.map((c) => c.judgement?.outcome)).toEqual([
			expect.any(String),
			'short',
			'unsure',
			'meets',
			'meets'
		]);
		expect((await matchOf(bank.id)).candidates).toHaveLength(5);
	});
	it('refuses groups that do not fit, a stranger and a double', async () => {
		const [a, b, c, d] = tray.map((t) => t.id);
		await expect(acceptMatch(bank.id, { groups: [[a!], [b!]] })).rejects.toMatchObject({
			faults: [{ path: 'groups' }]
		});
		await expect(acceptMatch(bank.id, { groups: [[a!], [b!], [c!], [99999]] })).rejects.toThrow(/does not belong/);
		await expect(acceptMatch(bank.id, { groups: [[a!], [b!], [c!], [c!]] })).rejects.toThrow(/named twice/);
		expect(await placements.all({ bankId: bank.id })).toHaveLength(0);
		await acceptMatch(bank.id, { groups: [[a!], [b!], [c!], [d!]], placedAt: '2026-03-20T00:00:00Z' });
	});
	it('ends the old placements when cells are matched again', async () => {
		const [a, b, c, , e] = tray.map((t) => t.id);
		await acceptMatch(bank.id, { groups: [[e!], [a!], [b!], [c!]], placedAt: '2026-03-21T00:00:00Z' });
		const all = await placements.all({ bankId: bank.id });
		expect(all.filter((p) => p.removedAt === null).map((p) => p.cellId)).toEqual([e, a, b, c]);
		expect(all.filter((p) => p.removedAt !== null)).toHaveLength(4);
		await expect(make('placements', { cellId: a, bankId: bank.id, battery: 1, position: 1 })).rejects.toMatchObject({
			code: 'already-placed'
		});
	});
	it('plans the balance of the placed cells from arrival bounds', async () => {
		const run = await make<{ id: number }>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: '2026-03-21T08:00:00Z'
		});
		await make('balance-readings', {
			balanceRunId: run.id,
			readAt: '2026-03-21T10:00:00Z',
			supplyV: 3.5,
			supplyA: 20,
			cellV: 3.3,
			deliveredAh: 40
		});
		const state = await balanceOf(bank.id);
		expect(state.cells).toHaveLength(4);
		expect(state.plan!.toDeliverAh.high).toBeGreaterThan(state.plan!.toDeliverAh.low);
		expect(state.progress).toMatchObject({
			phase: 'constant-current',
			deliveredAh: 40,
			leadOhm: expect.closeTo(0.01, 9)
		});
	});
	it('takes the smallest measured group for the limits', async () => {
		const { values, measuredGroupAh } = (await limitsOf(bank.id)).batteries[0]!;
		expect(measuredGroupAh).toBeCloseTo(99, 6);
		expect(values.find((v) => v.key === 'capacityAh')!.value).toBe(99);
	});
	it('keeps a check in the wrong context without judging it, and projects fade', async () => {
		await make('service-checks', {
			bankId: bank.id,
			checkedAt: '2025-03-01',
			context: 'rest',
			currentA: 0,
			groupVoltagesV: [3.33, 3.33, 3.33, 3.33]
		});
		await make('service-checks', {
			bankId: bank.id,
			checkedAt: '2026-03-01',
			context: 'full',
			currentA: 2,
			groupVoltagesV: [3.46, 3.347, 3.46, null]
		});
		await make('capacity-tests', { bankId: bank.id, testedAt: '2026-03-02', capacityAh: 96, sdAh: 1, efc: 250 });
		const state = await serveOf(bank.id, '2026-04-01T00:00:00Z');
		expect(state.checks.map((c) => c.judgement.judged)).toEqual([false, true]);
		// 3.347 V is 98 % by the curve alone: 2 Ah behind, or much more.
		const behind = state.checks[1]!.judgement.driftAh[1]!;
		expect(behind.low95).toBeLessThan(-2);
		expect(behind.high95).toBeGreaterThan(-2.6);
		expect(state.tests[0]!.ageYears).toBeCloseTo(2, 1);
		expect(state.efcPerYear).toBeCloseTo(125, 0);
		expect(state.projection!.posterior.mostlyPrior).toBe(true);
	});
	it('tells a cell’s life in time order', async () => {
		await make('notes', { cellId: tray[0]!.id, text: 'scuffed', writtenAt: '2026-03-11T00:00:00Z' });
		const { events } = await cellPassport(tray[0]!.id);
		expect(events.map((e) => e.kind)).toEqual([
			'arrival',
			'reading',
			'note',
			'run',
			'verdict',
			'placement',
			'removal',
			'placement'
		]);
		expect(events.map((e) => e.at)).toEqual(events.map((e) => e.at).sort());
	});
	it('keeps the verdict on how a cell arrived in its passport', async () => {
		const other = await make<Bank>('banks', { name: 'Low', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		const crate = await make<{ id: number }>('deliveries', {
			bankId: other.id,
			name: 'Crate',
			receivedOn: '2026-03-09',
			cellCount: 6,
			labelPrefix: 'Q'
		});
		const six = await cells.all({ deliveryId: crate.id });
		for (const [i, c] of six.entries())
			await make('readings', { cellId: c.id, quantity: 'restVoltage', rawText: i === 3 ? '3.21' : '3.29' });
		const { events } = await cellPassport(six[3]!.id);
		expect(events.map((e) => e.title)).toEqual([
			'Arrived with Crate',
			'Rest voltage 3.210 ± 0.002 V',
			'Q-04 rests 80 mV below the rest'
		]);
		expect((await cellPassport(six[0]!.id)).events).toHaveLength(2);
	});
	it('sums up its stages', async () => {
		const overview = await bankOverview(bank.id);
		expect(overview.current).toBe('serve');
		expect(overview.running).toMatchObject([{ figures: '20.0 A · 3.30 V', needsYouFrom: expect.any(String) }]);
		expect((await bankVerdicts(bank.id, 'serve')).map((v) => v.code)).toContain('drift');
	});
});

describe('export', () => {
	it('writes tables as CSV that a spreadsheet cannot run', async () => {
		await make('notes', { cellId: tray[0]!.id, text: '=cmd()' });
		const csv = await exportTable(bank.id, 'notes');
		expect(csv).toContain("'=cmd()");
		for (const odd of ['__proto__', 'constructor', 'toString'])
			await expect(exportTable(bank.id, odd)).rejects.toMatchObject({ status: 404 });
		expect(csv.split('\r\n')[0]).toBe('id,cellId,writtenAt,text');
		await expect(exportTable(bank.id, 'secrets')).rejects.toMatchObject({ status: 404 });
	});
});
