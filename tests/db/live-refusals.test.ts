import { describe, expect, it } from 'vitest';
import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import type { LivePhase } from '$lib/core/foundation/live-run';
import { countLiveSamples, readLiveSamples } from '$lib/server/db/live-samples';
import {
	banks,
	cellTypes,
	deliveries,
	instruments,
	liveEvents,
	liveRuns,
	type BalanceRun,
	type Bank,
	type Instrument
} from '$lib/server/records';
import { stopLiveRun } from '$lib/server/live/live-service';
import { measureCell } from '$lib/server/measuring/cell-reading';
import { recordKind } from '$lib/server/records/registry';
import { removeRecord } from '$lib/server/records/write';
import { make } from '../support/records';
import { startRehearsal } from '$lib/server/rehearsals/rehearsal';
import { begin, charge, discharge, plan, slow, stateIs, until, withLiveBench } from '../support/live-bench';

const here = withLiveBench('refused');

describe('a live run is refused', () => {
	it.each<[string, LivePhase[], object, RegExp]>([
		['a charge above the cells’ limit', [{ ...charge, voltageV: 3.8 }, discharge], {}, /charge limit/],
		['a capacity without a discharge', [charge], {}, /one discharge/],
		['a load that is a meter', [discharge], { instruments: { load: -1 } }, /not a load|no instrument/],
		['a run without its load', [discharge], { instruments: {} }, /load is required/],
		['a watch that sets something', [discharge], { kind: 'watch' }, /sets nothing/]
	])('%s', async (_, phases, more, message) => {
		const given =
			'instruments' in more && (more.instruments as { load?: number }).load === -1
				? { instruments: { load: here().tools.voltmeter!.id } }
				: more;
		await expect(plan(here(), phases, given)).rejects.toThrow(message);
	});
	it('a charge in a frost, and a discharge past the cells’ limit', async () => {
		await expect(plan(here(), [charge, discharge], { temperatureC: -3 })).rejects.toThrow(
			/must not be charged below 0 °C/
		);
		await expect(plan(here(), [{ ...discharge, cutoffV: 1.5 }])).rejects.toThrow(/discharge limit/);
	});
	it('a charge above what the cells of its own row may take, whatever sits in the bank; and a row of another bank', async () => {
		const { bank, crate } = here();
		const row = await make<BalanceRun>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			cellIds: crate.slice(0, 2).map((c) => c.id)
		});
		const type = await cellTypes.get(bank.cellTypeId!);
		const most = type.ratedAh * (type.chargeCRate ?? CHEMISTRY_FIGURES.LFP.chargeCRate);
		const of = (balanceRunId: number, cellsOf: number) =>
			plan(here(), [{ ...charge, currentA: cellsOf * most * 0.99 }], { kind: 'balance', cellId: null, balanceRunId });
		expect(await of(row.id, 2)).toMatchObject({ expectedAh: 2 * type.ratedAh });
		await expect(of(row.id, 3)).rejects.toThrow(/charge current/);
		const other = await make<Bank>('banks', {
			name: 'Other',
			bankUse: 'van',
			chemistry: 'LFP',
			series: 4,
			parallel: 1
		});
		const theirs = await make<BalanceRun>('balance-runs', { bankId: other.id, supplyA: 20, leadOhm: 0.01 });
		await expect(of(theirs.id, 1)).rejects.toThrow(/not a balance of/);
	});
	it('another crate on the bench while a run goes on there', async () => {
		const run = await slow(here(), 4);
		await begin(run.id);
		await expect(startRehearsal({ seed: 3 })).rejects.toThrow(/live run of “The first crate”/);
	});
	it('nothing by dropping a run that was never begun: another may drive that load', async () => {
		const [first, second] = [await slow(here(), 4), await plan(here(), [discharge])];
		await begin(first.id);
		expect((await stopLiveRun(second.id)).endedBy).toMatch(/before it began/);
		expect(here().server.world.bench().load.on).toBe(true);
	});
	it('when what it stands on is taken away: that is refused while it goes on', async () => {
		const run = await slow(here(), 4);
		await begin(run.id);
		const { bank, crate, tools } = here();
		const [delivery] = await deliveries.all({ bankId: bank.id });
		const under: [string, { id: number; version: number }][] = [
			['banks', bank],
			['cells', crate[4]!],
			['deliveries', delivery!],
			['instruments', tools.load!]
		];
		for (const [kind, { id, version }] of under)
			await expect(removeRecord(recordKind(kind), id, version), kind).rejects.toThrow(/Stop that run first/);
		await stopLiveRun(run.id);
		await removeRecord(recordKind('instruments'), tools.shunt!.id, tools.shunt!.version);
		await instruments.restore(tools.shunt!.id);
	});
	it('a second confirmation of the same run', async () => {
		const run = await slow(here(), 4);
		const results = await Promise.allSettled([begin(run.id), begin(run.id)]);
		expect(results.map((r) => r.status).sort()).toEqual(['fulfilled', 'rejected']);
		expect(here().server.world.bench().load.on).toBe(true);
	});
	it('an output across a cell that stands the other way round than printed, until its meter reading says so', async () => {
		const index = 3;
		const truth = here().server.world.bench().scenario.cells[index];
		truth!.printedReversed = !truth!.printedReversed;
		const run = await slow(here(), index);
		await expect(begin(run.id)).rejects.toThrow(/plus and minus are exchanged/);
		expect(await liveRuns.get(run.id)).toMatchObject({ state: 'planned', startedAt: null });
		expect(here().server.world.bench().load.on).toBe(false);
		await measureCell(here().bank.id, { cellId: here().crate[index]!.id, instrumentId: here().tools.voltmeter!.id });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 3);
		expect((await readLiveSamples(run.id)).every((s) => s.cellV! > 2.5)).toBe(true);
		await stopLiveRun(run.id);
		expect(here().server.world.bench().incidents).toEqual([]);
		truth!.printedReversed = !truth!.printedReversed;
		await measureCell(here().bank.id, { cellId: here().crate[index]!.id, instrumentId: here().tools.voltmeter!.id });
	});
	it('a charge under which the meter reads more than the supply is set to', async () => {
		const run = await plan(here(), [charge, discharge], { cellId: here().crate[0]!.id });
		here().server.world.bench().cells.soc[0] = 0.99;
		here().server.world.bench().scenario.supply.displayErrorV = -0.2;
		await begin(run.id);
		await until(stateIs(run.id, 'waiting'));
		expect(here().server.world.bench().supply.on).toBe(false);
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'over-voltage',
			needsPerson: true
		});
		here().server.world.bench().scenario.supply.displayErrorV = 0;
	});
	it('a charge of a cell that lies below its discharge limit', async () => {
		const run = await plan(here(), [charge, discharge], { cellId: here().crate[1]!.id });
		const { cells } = here().server.world.bench();
		const before = cells.soc[1];
		cells.soc[1] = -0.006;
		await expect(begin(run.id)).rejects.toThrow(/under the discharge limit of 2\.50 V.*ask its maker/);
		expect(here().server.world.bench().supply.on).toBe(false);
		cells.soc[1] = before!;
	});
	it('a battery where one cell should be', async () => {
		const { hands } = here();
		await hands.wire('series', [[1], [2], [3], [4]], []);
		const balance = await plan(here(), [charge], { kind: 'balance', cellId: null });
		await expect(begin(balance.id)).rejects.toThrow(/more than one LFP cell/);
		expect(here().server.world.bench().supply.on).toBe(false);
		await hands.wire('loose', [], []);
	});
	it('two runs on one load, also when both begin at once', async () => {
		const both = [await slow(here(), 2), await slow(here(), 3)];
		const results = await Promise.allSettled(both.map((r) => begin(r.id)));
		const states = await Promise.all(both.map(async (r) => (await liveRuns.get(r.id)).state));
		expect(results.filter((r) => r.status === 'fulfilled').length).toBeLessThan(2);
		expect(states.filter((s) => s === 'running')).toHaveLength(results.filter((r) => r.status === 'fulfilled').length);
	});
	it('two runs on one load', async () => {
		const [first, second] = [await slow(here(), 4), await plan(here(), [discharge])];
		await begin(first.id);
		await expect(begin(second.id)).rejects.toThrow(/driving another run/);
	});
	it('a simulated instrument at a real bank, and the other way round', async () => {
		const real = await banks.insert({ name: 'Real', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		await expect(plan(here(), [discharge], { bankId: real.id })).rejects.toThrow(/measures no real cell/);
		const address = { name: 'Load', kind: 'load', host: '127.0.0.1', port: 5 };
		const own = (await make('instruments', address)) as Instrument;
		await expect(plan(here(), [discharge], { instruments: { load: own.id } })).rejects.toThrow(
			/only on the simulated bench/
		);
	});
	it('an address outside this computer that was not meant', async () => {
		const address = { name: 'Load', kind: 'load', host: '192.168.7.9', port: 5025 };
		await expect(make('instruments', address)).rejects.toThrow(/outside this computer/);
		expect(await make('instruments', { ...address, outsideNamed: true })).toMatchObject({
			bundled: false
		});
	});
	it('a simulated cell in a real bank', async () => {
		const real = await make<{ id: number }>('banks', {
			name: 'Real too',
			bankUse: 'van',
			chemistry: 'LFP',
			series: 4,
			parallel: 1
		});
		const placement = { cellId: here().crate[0]!.id, bankId: real.id, battery: 1, position: 1 };
		await expect(make('placements', placement)).rejects.toThrow(/never built together/);
		const wish = { cellId: here().crate[0]!.id, bankId: real.id };
		await expect(make('candidates', wish)).rejects.toThrow(/never built together/);
	});
});
