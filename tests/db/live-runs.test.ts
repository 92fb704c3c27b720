import type { Knex } from 'knex';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import type { LivePhase } from '$lib/core/live-run';
import { countLiveSamples, readLiveSamples } from '$lib/server/db/live-samples';
import {
	banks,
	cells,
	deliveries,
	liveEvents,
	liveRuns,
	runs,
	type Bank,
	type Cell,
	type Instrument
} from '$lib/server/db/tables';
import { bundledInstruments } from '$lib/server/services/instrument-service';
import { subscribe } from '$lib/server/services/live/live-hub';
import { benchHands } from '$lib/server/instruments/hands';
import { pauseAll, runnerOf } from '$lib/server/services/live/live-runner';
import { planLiveRun, valuesToConfirm } from '$lib/server/services/live/live-plan';
import { beginLiveRun } from '$lib/server/services/live/live-begin';
import { livePage, markSeen, resumeLiveRuns, stopLiveRun } from '$lib/server/services/live/live-service';
import { createRecord, recordKind } from '$lib/server/services/record-kinds';
import { measureCell, startRehearsal } from '$lib/server/services/rehearsal-service';
import { startBench, type BenchServer } from '../../stand-ins/bench-server';
import { openWire } from '../../stand-ins/testing/wire';
import { freshDatabase } from '../support/database';

let pool: Knex;
let bench: BenchServer;
let bank: Bank;
let cell: Cell;
let crate: Cell[];
let tools: Record<string, Instrument>;

beforeAll(async () => {
	pool = await freshDatabase('live');
	bench = await startBench(0);
	process.env.KIND_EMBER_BENCH = `127.0.0.1:${bench.port}`;
	bank = await startRehearsal({ ready: 'first-crate' });
	tools = await bundledInstruments();
	const [delivery] = await deliveries.all({ bankId: bank.id });
	crate = await cells.all({ deliveryId: delivery.id });
	cell = crate[0];
});
afterEach(async () => {
	for (const run of await liveRuns.all({ bankId: bank.id }))
		if (run.state !== 'ended') await stopLiveRun(run.id).catch(() => undefined);
	const hands = await openWire(bench.port);
	hands.send('FAUL:CLE');
	await hands.ask('*OPC?');
	hands.close();
});
afterAll(async () => {
	await pauseAll();
	bench.close();
	await pool.destroy();
});

const discharge: LivePhase = { kind: 'discharge', currentA: 50, cutoffV: 2.5 };
const charge: LivePhase = { kind: 'charge', voltageV: 3.65, currentA: 50, tailA: 5, holdS: 0 };
const rest: LivePhase = { kind: 'rest', durationS: 1800 };
const plan = (phases: LivePhase[], more: object = {}) =>
	planLiveRun({
		bankId: bank.id,
		kind: 'capacity',
		cellId: cell.id,
		instruments: { supply: tools.supply.id, load: tools.load.id, voltmeter: tools.voltmeter.id },
		phases,
		temperatureC: 21,
		...more
	});
/** A discharge of one of the fuller cells that lasts as long as a test needs. */
const slow = (index: number, more: object = {}) =>
	plan([{ ...discharge, currentA: 2 }], { cellId: crate[index].id, ...more });
async function begin(id: number) {
	return beginLiveRun(id, { confirmed: await valuesToConfirm(await liveRuns.get(id)) });
}
async function until(what: () => Promise<boolean>, seconds = 30): Promise<void> {
	const end = Date.now() + seconds * 1000;
	while (!(await what())) {
		if (Date.now() > end) throw new Error('it did not come about');
		await new Promise((done) => setTimeout(done, 50));
	}
}
const stateIs = (id: number, state: string) => async () => (await liveRuns.get(id)).state === state;
const fault = async (name: string, kind: string, answers: number) => {
	const hands = await openWire(bench.port);
	hands.send(`FAUL '${name}',${kind},${answers}`);
	await hands.ask('*OPC?');
	hands.close();
};

describe('a live capacity run', () => {
	it('charges, rests and discharges a simulated cell and enters its true capacity', async () => {
		const planned = await plan([charge, rest, discharge]);
		expect(bench.world.bench().supply.on).toBe(false);
		await begin(planned.id);
		await until(stateIs(planned.id, 'ended'), 60);
		const ended = await liveRuns.get(planned.id);
		expect(ended.progress.sums).toHaveLength(3);
		const run = await runs.get(ended.runId!);
		const truth = bench.world.bench().scenario.cells[0].capacityAh;
		// 0.5 C from full to 2.50 V at the load gives a little less than all of it.
		expect(run.capacityAh / truth).toBeGreaterThan(0.975);
		expect(run.capacityAh / truth).toBeLessThan(1.005);
		expect(run).toMatchObject({ source: 'live', cellId: cell.id, tester: tools.load.name, temperatureC: 21 });
		expect(run.endVoltageV).toBeLessThan(2.8);
		expect(bench.world.bench()).toMatchObject({ supply: { on: false }, load: { on: false } });
	}, 90_000);
	it('switches nothing until the values are confirmed word for word', async () => {
		const planned = await plan([discharge]);
		const values = await valuesToConfirm(planned);
		expect(values[0]).toMatch(/Electronic load.* on R-01: 50 A, off at 2\.50 V/);
		await expect(beginLiveRun(planned.id, { confirmed: [] })).rejects.toThrow(/confirmed/);
		await expect(beginLiveRun(planned.id, { confirmed: values.map((v) => v.replace('50 A', '5 A')) })).rejects.toThrow(
			/as they are/
		);
		expect(bench.world.bench().load.on).toBe(false);
	});
	it('shows a sample only once it is stored', async () => {
		const run = await slow(1);
		let wrong = 0;
		let seen = 0;
		const stop = subscribe(run.id, (message) => {
			if (message.kind !== 'samples') return;
			seen += message.samples.length;
			void countLiveSamples(run.id).then((count) => (wrong += count < seen ? 1 : 0));
		});
		await begin(run.id);
		await until(async () => seen > 30);
		stop();
		await stopLiveRun(run.id);
		expect(wrong).toBe(0);
	});
	it('goes on after the application was away, with the gap marked and not counted', async () => {
		const run = await slow(3);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 10);
		await pauseAll();
		expect(runnerOf(run.id)).toBeNull();
		expect((await liveRuns.get(run.id)).state).toBe('running');
		const before = await countLiveSamples(run.id);
		await new Promise((done) => setTimeout(done, 300));
		await resumeLiveRuns();
		await until(async () => (await countLiveSamples(run.id)) > before + 10);
		await stopLiveRun(run.id);
		const { progress, endedBy } = await liveRuns.get(run.id);
		expect(endedBy).toBe('Stopped by a person.');
		expect(progress.sums[0].gapS).toBeGreaterThan(100);
		const events = (await liveEvents.all({ liveRunId: run.id })).map((e) => e.kind);
		expect(events).toEqual(expect.arrayContaining(['restart', 'gap', 'no-capacity']));
	});
	it('switches the output off when samples stop, says so, and waits for a person', async () => {
		const run = await slow(4, { deadManS: 3 });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		await fault('load', 'garbage', 1e6);
		await until(stateIs(run.id, 'waiting'), 20);
		await until(async () => !bench.world.bench().load.on, 10);
		const events = await liveEvents.all({ liveRunId: run.id });
		const told = events.find((e) => e.kind === 'dead-man')!;
		expect(told).toMatchObject({ needsPerson: true, seenAt: null });
		expect((await markSeen(told.id)).seenAt).not.toBeNull();
		await fault('load', 'silence', 1);
		await new Promise((done) => setTimeout(done, 200));
	}, 40_000);
	it('goes on trying until an output that could not be reached is off', async () => {
		const run = await slow(1, { deadManS: 30 });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		await fault('load', 'silence', 4);
		await stopLiveRun(run.id);
		expect((await liveEvents.all({ liveRunId: run.id })).find((e) => e.kind === 'output')).toMatchObject({
			needsPerson: true
		});
		await until(async () => (await liveEvents.all({ liveRunId: run.id })).some((e) => e.kind === 'output-off'), 15);
		expect(bench.world.bench().load.on).toBe(false);
	}, 40_000);
	it('says when the BMS cuts the charge', async () => {
		const hands = benchHands('127.0.0.1', bench.port);
		await hands.wire('series', [[1], [2]], []);
		const watch = await planLiveRun({
			bankId: bank.id,
			kind: 'watch',
			instruments: { bms: tools.bms.id, shunt: tools.shunt.id },
			phases: [{ kind: 'watch' }]
		});
		await begin(watch.id);
		await until(async () => (await countLiveSamples(watch.id)) > 3);
		bench.world.bench().joined!.guarded.bms!.limits.cellHighV = 3;
		await until(async () => (await liveEvents.all({ liveRunId: watch.id })).some((e) => e.kind === 'bms'));
		const samples = await readLiveSamples(watch.id);
		expect(samples[0].groupsV).toHaveLength(2);
		expect(samples[0].cellV).toBeNull();
		await stopLiveRun(watch.id);
		await hands.wire('loose', [], []);
	});
	it('waits for a person when the output went off by itself, and goes on when confirmed anew', async () => {
		const run = await slow(2);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		bench.world.bench().load.on = false;
		await until(stateIs(run.id, 'waiting'));
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'output-lost',
			needsPerson: true
		});
		await begin(run.id);
		expect(bench.world.bench().load.on).toBe(true);
	});
	it('keeps every sample in order, one a moment', async () => {
		const run = await slow(3);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 40);
		await stopLiveRun(run.id);
		const samples = await readLiveSamples(run.id);
		samples.slice(1).forEach((s, i) => expect(s.atMs).toBeGreaterThan(samples[i].atMs));
		const page = await livePage(run.id);
		expect(page.samples.length).toBe(samples.length);
		expect(page.view.state).toBe('ended');
	});
});

describe('what is refused', () => {
	it.each<[string, LivePhase[], object, RegExp]>([
		['a charge above the cells’ limit', [{ ...charge, voltageV: 3.8 }, discharge], {}, /charge limit/],
		['a capacity without a discharge', [charge], {}, /one discharge/],
		['a load that is a meter', [discharge], { instruments: { load: -1 } }, /not a load|no instrument/],
		['a run without its load', [discharge], { instruments: {} }, /load is required/],
		['a watch that sets something', [discharge], { kind: 'watch' }, /sets nothing/]
	])('%s', async (_, phases, more, message) => {
		const given =
			'instruments' in more && (more.instruments as { load?: number }).load === -1
				? { instruments: { load: tools.voltmeter.id } }
				: more;
		await expect(plan(phases, given)).rejects.toThrow(message);
	});
	it('a charge in a frost, and a discharge past the cells’ limit', async () => {
		await expect(plan([charge, discharge], { temperatureC: -3 })).rejects.toThrow(/must not be charged below 0 °C/);
		await expect(plan([{ ...discharge, cutoffV: 1.5 }])).rejects.toThrow(/discharge limit/);
	});
	it('another crate on the bench while a run goes on there', async () => {
		const run = await slow(4);
		await begin(run.id);
		await expect(startRehearsal({ seed: 3 })).rejects.toThrow(/live run of “The first crate”/);
	});
	it('nothing by dropping a run that was never begun: another may drive that load', async () => {
		const [first, second] = [await slow(4), await plan([discharge])];
		await begin(first.id);
		expect((await stopLiveRun(second.id)).endedBy).toMatch(/before it began/);
		expect(bench.world.bench().load.on).toBe(true);
	});
	it('a second confirmation of the same run', async () => {
		const run = await slow(4);
		const results = await Promise.allSettled([begin(run.id), begin(run.id)]);
		expect(results.map((r) => r.status).sort()).toEqual(['fulfilled', 'rejected']);
		expect(bench.world.bench().load.on).toBe(true);
	});
	it('an output across a cell that stands the other way round than printed, until its meter reading says so', async () => {
		const index = 3;
		const truth = bench.world.bench().scenario.cells[index];
		truth.printedReversed = !truth.printedReversed;
		const run = await slow(index);
		await expect(begin(run.id)).rejects.toThrow(/plus and minus are exchanged/);
		expect(await liveRuns.get(run.id)).toMatchObject({ state: 'planned', startedAt: null });
		expect(bench.world.bench().load.on).toBe(false);
		await measureCell(bank.id, { cellId: crate[index].id, instrumentId: tools.voltmeter.id });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 3);
		expect((await readLiveSamples(run.id)).every((s) => s.cellV! > 2.5)).toBe(true);
		await stopLiveRun(run.id);
		expect(bench.world.bench().incidents).toEqual([]);
		truth.printedReversed = !truth.printedReversed;
		await measureCell(bank.id, { cellId: crate[index].id, instrumentId: tools.voltmeter.id });
	});
	it('a charge under which the meter reads more than the supply is set to', async () => {
		const run = await plan([charge, discharge], { cellId: crate[0].id });
		bench.world.bench().cells.soc[0] = 0.99;
		bench.world.bench().scenario.supply.displayErrorV = -0.2;
		await begin(run.id);
		await until(stateIs(run.id, 'waiting'));
		expect(bench.world.bench().supply.on).toBe(false);
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'over-voltage',
			needsPerson: true
		});
		bench.world.bench().scenario.supply.displayErrorV = 0;
	});
	it('a battery where one cell should be', async () => {
		const hands = benchHands('127.0.0.1', bench.port);
		await hands.wire('series', [[1], [2], [3], [4]], []);
		const balance = await plan([charge], { kind: 'balance', cellId: null });
		await expect(begin(balance.id)).rejects.toThrow(/more than one LFP cell/);
		expect(bench.world.bench().supply.on).toBe(false);
		await hands.wire('loose', [], []);
	});
	it('two runs on one load, also when both begin at once', async () => {
		const both = [await slow(2), await slow(3)];
		const results = await Promise.allSettled(both.map((r) => begin(r.id)));
		const states = await Promise.all(both.map(async (r) => (await liveRuns.get(r.id)).state));
		expect(results.filter((r) => r.status === 'fulfilled').length).toBeLessThan(2);
		expect(states.filter((s) => s === 'running')).toHaveLength(results.filter((r) => r.status === 'fulfilled').length);
	});
	it('two runs on one load', async () => {
		const [first, second] = [await slow(4), await plan([discharge])];
		await begin(first.id);
		await expect(begin(second.id)).rejects.toThrow(/driving another run/);
	});
	it('a simulated instrument at a real bank, and the other way round', async () => {
		const real = await banks.insert({ name: 'Real', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		await expect(plan([discharge], { bankId: real.id })).rejects.toThrow(/measures no real cell/);
		const address = { name: 'Load', kind: 'load', host: '127.0.0.1', port: 5 };
		const own = (await createRecord(recordKind('instruments'), address)) as Instrument;
		await expect(plan([discharge], { instruments: { load: own.id } })).rejects.toThrow(/only on the simulated bench/);
	});
	it('an address outside this computer that was not meant', async () => {
		const address = { name: 'Load', kind: 'load', host: '192.168.7.9', port: 5025 };
		await expect(createRecord(recordKind('instruments'), address)).rejects.toThrow(/outside this computer/);
		expect(await createRecord(recordKind('instruments'), { ...address, outsideNamed: true })).toMatchObject({
			bundled: false
		});
	});
	it('a simulated cell in a real bank', async () => {
		const real = await banks.insert({ name: 'Real too', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		const placement = { cellId: cell.id, bankId: real.id, battery: 1, position: 1 };
		await expect(createRecord(recordKind('placements'), placement)).rejects.toThrow(/never built together/);
	});
});
