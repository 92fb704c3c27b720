import { describe, expect, it, vi } from 'vitest';
import { readLiveMinutes } from '$lib/server/db/live-minutes';
import { countLiveSamples, readLiveSamples } from '$lib/server/db/live-samples';
import { liveEvents, liveRuns, runs } from '$lib/server/records';
import { InstrumentError } from '$lib/server/instruments/instrument-error';
import { linkTo } from '$lib/server/address-book/instruments';
import { followLive } from '$lib/server/live/live-follow';
import { publish, subscribe } from '$lib/server/live/live-hub';
import { planLiveRun, valuesToConfirm } from '$lib/server/live/live-plan';
import { beginLiveRun } from '$lib/server/live/live-begin';
import { pauseAll, runnerOf } from '$lib/server/live/live-runner';
import { livePage, markSeen, pauseLiveRun, resumeLiveRuns, stopLiveRun } from '$lib/server/live/live-service';
import { bankOverview } from '$lib/server/home/overview';
import {
	begin,
	charge,
	discharge,
	fault,
	plan,
	rest,
	slow,
	stateIs,
	until,
	withLiveBench
} from '../support/live-bench';

const here = withLiveBench('live');

describe('a live capacity run', () => {
	it('charges, rests and discharges a simulated cell and enters its true capacity', async () => {
		const planned = await plan(here(), [charge, rest, discharge]);
		expect(here().server.world.bench().supply.on).toBe(false);
		await begin(planned.id);
		await until(stateIs(planned.id, 'ended'));
		const ended = await liveRuns.get(planned.id);
		expect(ended.progress.sums).toHaveLength(3);
		const run = await runs.get(ended.runId!);
		const truth = here().server.world.bench().scenario.cells[0]!.capacityAh;
		// 0.5 C from full to 2.50 V at the load gives a little less than all of it.
		// What a busy machine missed is not counted, and said to be missing.
		const heldAh = run.capacityAh + Math.abs(ended.progress.sums[2]!.gapAh);
		// The load's own cut-off falls between two samples: half of what flows between them may be missed.
		const [before, last] = (await readLiveSamples(ended.id, { phase: 2 })).slice(-2);
		const missedAh = (50 * (last!.atMs - before!.atMs)) / 3_600_000 / 2;
		expect((heldAh + missedAh) / truth).toBeGreaterThan(0.975);
		expect(heldAh / truth).toBeLessThan(1.005);
		expect(run).toMatchObject({
			source: 'live',
			cellId: here().crate[0]!.id,
			tester: here().tools.load!.name,
			temperatureC: 21
		});
		expect(run.endVoltageV).toBeLessThan(2.8);
		expect(here().server.world.bench()).toMatchObject({ supply: { on: false }, load: { on: false } });
	});
	it('is paused with its outputs off, goes on where it was, and counts what flowed alone', async () => {
		const run = await plan(here(), [{ ...discharge, cutoffV: 2.5 }], { cellId: here().crate[2]!.id });
		await begin(run.id);
		await until(async () => Math.abs((await liveRuns.get(run.id)).progress.sums[0]?.ah ?? 0) > 1);
		const paused = await pauseLiveRun(run.id);
		expect(paused.state).toBe('waiting');
		expect(paused.events.find((e) => e.kind === 'paused')).toMatchObject({ needsPerson: false });
		expect(here().server.world.bench().load.on).toBe(false);
		await expect(pauseLiveRun(run.id)).rejects.toMatchObject({ status: 409, code: 'not-running' });
		const before = (await liveRuns.get(run.id)).progress.sums[0]!;
		await begin(run.id);
		await until(async () => Math.abs((await liveRuns.get(run.id)).progress.sums[0]!.ah) > Math.abs(before.ah) + 0.5);
		await stopLiveRun(run.id);
		const after = (await liveRuns.get(run.id)).progress.sums[0]!;
		expect(after.gapAh).toBe(before.gapAh);
		expect(after.gapS).toBe(before.gapS);
	});
	it('ends without a capacity when nothing moved before the cut-off', async () => {
		const run = await plan(here(), [{ ...discharge, cutoffV: 3.4 }], { cellId: here().crate[1]!.id });
		await begin(run.id);
		await until(stateIs(run.id, 'ended'));
		expect(await liveRuns.get(run.id)).toMatchObject({ runId: null });
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'no-capacity',
			message: expect.stringContaining('before anything had moved')
		});
	});
	it('that begins with the discharge of a cell that cannot be full says so at once, and enters no capacity', async () => {
		const { world } = here().server;
		world.bench().cells.soc[4] = 0.1;
		const run = await plan(here(), [{ ...discharge, cutoffV: 3.0 }], { cellId: here().crate[4]!.id });
		await begin(run.id);
		expect(await liveEvents.all({ liveRunId: run.id, kind: 'not-full' })).toMatchObject([
			{ needsPerson: true, message: expect.stringMatching(/^R-05 rested at 3\.\d{3} V: at most \d\d % charged/) }
		]);
		// Full it would take two hours; of this one the end is not known.
		expect((await livePage(run.id)).view.toEndS).toBeNull();
		await until(stateIs(run.id, 'ended'));
		expect(await liveRuns.get(run.id)).toMatchObject({ runId: null, progress: { done: true } });
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'no-capacity',
			message: expect.stringContaining('not full')
		});
	});
	it('ends, and says so, even when its result cannot be entered', async () => {
		here().server.world.bench().cells.soc[2] = 1;
		const run = await plan(here(), [{ ...discharge, currentA: 50, cutoffV: 3.2 }], { cellId: here().crate[2]!.id });
		vi.spyOn(runs, 'insert').mockRejectedValueOnce(new Error('disk full'));
		await begin(run.id);
		await until(stateIs(run.id, 'ended'));
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'no-result',
			needsPerson: true
		});
		expect(here().server.world.bench().load.on).toBe(false);
	});
	it('switches nothing until the values are confirmed word for word', async () => {
		const planned = await plan(here(), [discharge]);
		const values = await valuesToConfirm(planned);
		expect(values[0]).toMatch(/Electronic load.* on R-01: 50 A, off at 2\.50 V/);
		await expect(beginLiveRun(planned.id, { confirmed: [] })).rejects.toThrow(/confirmed/);
		await expect(beginLiveRun(planned.id, { confirmed: values.map((v) => v.replace('50 A', '5 A')) })).rejects.toThrow(
			/as they are/
		);
		expect(here().server.world.bench().load.on).toBe(false);
	});
	it('shows a sample only once it is stored', async () => {
		const run = await slow(here(), 1);
		let wrong = 0;
		let seen = 0;
		const stop = subscribe((id, message) => {
			if (id !== run.id || message.kind !== 'samples') return;
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
		const run = await slow(here(), 3);
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
		expect(progress.sums[0]!.gapS).toBeGreaterThan(100);
		const events = (await liveEvents.all({ liveRunId: run.id })).map((e) => e.kind);
		expect(events).toEqual(expect.arrayContaining(['restart', 'gap', 'no-capacity']));
	});
	it('switches the output off when samples stop, says so, and waits for a person', async () => {
		const run = await slow(here(), 4, { deadManS: 3 });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		await fault(here(), 'load', 'garbage', 1e6);
		await until(stateIs(run.id, 'waiting'));
		await until(async () => !here().server.world.bench().load.on);
		const events = await liveEvents.all({ liveRunId: run.id });
		const told = events.find((e) => e.kind === 'dead-man')!;
		expect(told).toMatchObject({ needsPerson: true, seenAt: null });
		expect((await markSeen(told.id)).seenAt).not.toBeNull();
		await fault(here(), 'load', 'silence', 1);
		await new Promise((done) => setTimeout(done, 200));
	});
	it('goes on to its next phase although an answer is lost there', async () => {
		const at = here();
		const after = { kind: 'charge', voltageV: 3.5, currentA: 20, tailA: 2, holdS: 0, stopAh: 1 } as const;
		at.server.world.bench().cells.soc[1] = 1;
		const run = await plan(at, [{ ...discharge, currentA: 50, cutoffV: 3.2 }, after], { cellId: at.crate[1]!.id });
		await begin(run.id);
		const supply = linkTo(at.tools.supply!);
		const lost = vi
			.spyOn(supply, 'useNow')
			.mockRejectedValueOnce(new InstrumentError('silent', 'The instrument did not answer within 1500 ms.'));
		const notOff = vi
			.spyOn(supply, 'attemptOnce')
			.mockRejectedValueOnce(new InstrumentError('silent', 'Nothing came.'));
		await until(stateIs(run.id, 'ended'));
		expect(lost.mock.calls.length).toBeGreaterThan(1);
		const kinds = (await liveEvents.all({ liveRunId: run.id })).map((e) => e.kind);
		expect(kinds.filter((k) => ['output', 'output-lost', 'dead-man'].includes(k))).toEqual([]);
		const { sums } = (await liveRuns.get(run.id)).progress;
		expect(sums[1]!.ah + sums[1]!.gapAh).toBeGreaterThan(0.9);
		[lost, notOff].forEach((spy) => spy.mockRestore());
	});
	it('goes on trying until an output that could not be reached is off', async () => {
		const run = await slow(here(), 1, { deadManS: 30 });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		await fault(here(), 'load', 'silence', 4);
		await stopLiveRun(run.id);
		expect((await liveEvents.all({ liveRunId: run.id })).find((e) => e.kind === 'output')).toMatchObject({
			needsPerson: true
		});
		await until(async () => (await liveEvents.all({ liveRunId: run.id })).some((e) => e.kind === 'output-off'));
		expect(here().server.world.bench().load.on).toBe(false);
	});
	it('says when the BMS cuts the charge', async () => {
		const { hands } = here();
		await hands.wire('series', [[1], [2]], []);
		const watch = await planLiveRun({
			bankId: here().bank.id,
			kind: 'watch',
			instruments: { bms: here().tools.bms!.id, shunt: here().tools.shunt!.id },
			phases: [{ kind: 'watch' }]
		});
		await begin(watch.id);
		await until(async () => (await countLiveSamples(watch.id)) > 3);
		here().server.world.bench().joined!.guarded.bms!.limits.cellHighV = 3;
		await until(async () => (await liveEvents.all({ liveRunId: watch.id })).some((e) => e.kind === 'bms'));
		const samples = await readLiveSamples(watch.id);
		expect(samples[0]!.groupsV).toHaveLength(2);
		expect(samples[0]!.cellV).toBeNull();
		await stopLiveRun(watch.id);
		await hands.wire('loose', [], []);
	});
	it('stands in the top bar, the one that waits before the one that goes on', async () => {
		const run = await slow(here(), 2);
		const watch = await planLiveRun({
			bankId: here().bank.id,
			kind: 'watch',
			instruments: { shunt: here().tools.shunt!.id },
			phases: [{ kind: 'watch' }]
		});
		await begin(watch.id);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		here().server.world.bench().load.on = false;
		await until(stateIs(run.id, 'waiting'));
		const { running } = await bankOverview(here().bank.id);
		expect(running.map((w) => [w.what, w.waiting])).toEqual([
			['Rehearsal: Capacity run of R-03, discharge', true],
			['Rehearsal: Watch of the battery', false]
		]);
		const told: number[] = [];
		const stop = followLive(null, (m) => m.kind === 'view' && told.push(m.view.id));
		await until(async () => told.includes(run.id) && told.includes(watch.id));
		stop();
	});
	it('is followed without a moment between how it stands and what happens', async () => {
		const run = await slow(here(), 3);
		const ended = { ...(await livePage(run.id)).view, state: 'ended' as const };
		const states: string[] = [];
		const stop = followLive(run.id, (m) => m.kind === 'view' && m.view.id === run.id && states.push(m.view.state));
		// Before the first view has been read it changes: the change is told after it.
		publish(run.id, { kind: 'view', view: ended });
		await until(async () => states.length > 1);
		expect(states).toEqual(['planned', 'ended']);
		stop();
		publish(run.id, { kind: 'view', view: ended });
		expect(states).toHaveLength(2);
	});
	it('waits for a person when the output went off by itself, and goes on when confirmed anew', async () => {
		const run = await slow(here(), 2);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		here().server.world.bench().load.on = false;
		await until(stateIs(run.id, 'waiting'));
		expect((await liveEvents.all({ liveRunId: run.id })).at(-1)).toMatchObject({
			kind: 'output-lost',
			needsPerson: true
		});
		await begin(run.id);
		expect(here().server.world.bench().load.on).toBe(true);
	});
	it('keeps every sample in order, one a moment', async () => {
		const run = await slow(here(), 3);
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 40);
		await stopLiveRun(run.id);
		const samples = await readLiveSamples(run.id);
		samples.slice(1).forEach((s, i) => expect(s.atMs).toBeGreaterThan(samples[i]!.atMs));
		const page = await livePage(run.id);
		expect(page.samples.length).toBe(samples.length);
		expect(page.view.state).toBe('ended');
		const minutes = await readLiveMinutes(run.id);
		const volts = samples.map((s) => s.voltageV!);
		expect(Math.min(...minutes.map((m) => m.voltageV!))).toBe(Math.min(...volts));
		expect(Math.max(...minutes.map((m) => m.voltageV!))).toBe(Math.max(...volts));
	});
});
