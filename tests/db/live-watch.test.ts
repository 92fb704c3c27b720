import { describe, expect, it } from 'vitest';
import { countLiveSamples, readLiveSamples } from '$lib/server/db/live-samples';
import { stopLiveRun } from '$lib/server/live/live-service';
import { liveEvents, liveRuns } from '$lib/server/records';
import { begin, charge, discharge, plan, rest, stateIs, until, withLiveBench } from '../support/live-bench';

const here = withLiveBench('live_watch');

describe('a live run never goes blind', () => {
	it('sees the end though the instruments’ clock has stepped back in mid-charge', async () => {
		const { world } = here().server;
		const run = await plan(here(), [charge, rest, discharge], { cellId: here().crate[3]!.id });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 5);
		world.replace(world.bench(), world.clockMs()! - 3_600_000);
		await until(async () => (await liveRuns.get(run.id)).progress.phase > 0);
		const events = await liveEvents.all({ liveRunId: run.id });
		// A busy machine is late with a sample now and then, and says so.
		const told = events.map((e) => e.kind).filter((kind) => kind !== 'silent');
		expect(told).toEqual(['clock', 'gap', 'phase-ended']);
		expect(world.bench().supply.on).toBe(false);
		const times = (await readLiveSamples(run.id, { phase: 0 })).map((s) => s.atMs);
		expect(times).toEqual([...times].sort((a, b) => a - b));
		await stopLiveRun(run.id);
	});
	it('switches off when the output does not report its setting back, and asks for a person', async () => {
		const run = await plan(here(), [charge, rest, discharge], { cellId: here().crate[4]!.id });
		await begin(run.id);
		await until(async () => (await countLiveSamples(run.id)) > 2);
		// Somebody turned the knob.
		here().server.world.bench().supply.currentA = 20;
		await until(stateIs(run.id, 'waiting'));
		expect(here().server.world.bench().supply.on).toBe(false);
		expect((await liveEvents.all({ liveRunId: run.id, kind: 'not-as-set' }))[0]).toMatchObject({
			needsPerson: true,
			message: expect.stringContaining('20.0 A, not 50.0 A')
		});
		await begin(run.id);
		expect(await liveEvents.all({ liveRunId: run.id, kind: 'not-as-set' })).toMatchObject([
			{ seenAt: expect.any(String) }
		]);
		await stopLiveRun(run.id);
	});
});
