import { thinCurve } from '$lib/core/test/log';
import { InputError } from '$lib/input/validate';
import { readLiveMinutes } from '../db/live-minutes';
import { countLiveSamples, readLiveSamples } from '../db/live-samples';
import type { StoredSample } from '../db/stored-sample';
import { banks, liveEvents, liveRuns, type LiveRun } from '../records';
import { inTransaction } from '../db/transaction';
import { ServiceError } from '../errors';
import { settleLiveEvents } from '../records/live-events/settle';
import { log } from '../log';
import { takeUpRehearsal } from '../rehearsals/bench/bench';
import { allOff, openLinks } from './live-outputs';
import { openRuns } from './open-runs';
import { publish } from './live-hub';
import { placeOf, valuesToConfirm } from './live-plan';
import { runnerOf, startRunner } from './live-runner';
import { liveView, type LiveView } from './live-view';

const BY_PERSON = 'Stopped by a person.';

/** Ends a run: outputs off. What was read is kept. A run that was never begun is only dropped: its instruments may serve another. */
export async function stopLiveRun(id: number): Promise<LiveView> {
	const runner = runnerOf(id);
	if (runner) {
		await runner.stop(BY_PERSON);
		return liveView(await liveRuns.get(id));
	}
	const run = await liveRuns.get(id);
	if (run.state === 'waiting') {
		const unreached = await allOff(await openLinks(run));
		if (unreached.length)
			throw new ServiceError(
				409,
				'output',
				`The ${unreached.join(' and ')} does not answer: switch it off by hand, then stop here again.`
			);
	}
	if (run.state === 'waiting') await inTransaction((tx) => settleLiveEvents(id, tx));
	if (run.state === 'ended') return liveView(run);
	const endedBy = run.state === 'planned' ? 'Dropped before it began.' : BY_PERSON;
	const ended = await liveRuns.update(id, run.version, { state: 'ended', endedAt: new Date().toISOString(), endedBy });
	return tellView(ended);
}

/** Outputs off until somebody lets it go on: for a night. @throws ServiceError 409 for a run that is not going, or only watches */
export async function pauseLiveRun(id: number): Promise<LiveView> {
	const run = await liveRuns.get(id);
	const runner = runnerOf(id);
	if (!runner || run.kind === 'watch')
		throw new ServiceError(
			409,
			'not-running',
			'Only a run that drives an output can be paused, and only while it goes.'
		);
	await runner.hold();
	return tellView(await liveRuns.get(id));
}

/** Goes on with every run that was going when the application ended. One that cannot be gone on with waits for a person. */
export async function resumeLiveRuns(): Promise<void> {
	for (const run of await liveRuns.all({ state: 'running' })) {
		if (runnerOf(run.id)) continue;
		try {
			await resume(run);
		} catch (error) {
			log.error({ err: error, liveRunId: run.id }, 'live run not gone on with');
			await tell(
				run,
				'restart',
				'After a restart of the application this run could not go on: look at its outputs now.',
				true
			);
			await liveRuns.update(run.id, run.version, { state: 'waiting' });
		}
	}
}

async function resume(run: LiveRun): Promise<void> {
	// The simulated bench may have been stopped too: it is set up again as it was saved.
	if ((await banks.get(run.bankId)).rehearsal) await takeUpRehearsal(run.bankId).catch(() => undefined);
	await startRunner(run, true);
	await tell(run, 'restart', 'The application was restarted; the run goes on.', false);
}

const tell = (run: LiveRun, kind: string, message: string, needsPerson: boolean) =>
	liveEvents.insert({
		liveRunId: run.id,
		happenedAt: new Date(run.progress.last?.atMs ?? Date.now()).toISOString(),
		kind,
		message,
		needsPerson
	});

/** Runs of a bank that go on or wait for a person. */
export const openLiveRuns = async (bankId: number): Promise<LiveRun[]> =>
	(await openRuns()).filter((r) => r.bankId === bankId);

/** Whether any run goes on or waits for a person. */
export const isAnyLive = async (): Promise<boolean> => (await openRuns()).length > 0;

/** Points drawn of one run, at most about. */
const DRAWN_POINTS = 1500;
/** A run with more samples is drawn from its minutes. */
const MAX_READ_SAMPLES = 20_000;
/** Samples given in one answer; the caller asks on from the last. */
const SAMPLES_A_TIME = 5000;

export interface LivePageData {
	run: LiveRun;
	view: LiveView;
	values: string[];
	samples: StoredSample[];
	place: string;
}

/** Everything the page of a live run starts from. */
export async function livePage(id: number): Promise<LivePageData> {
	const run = await liveRuns.get(id);
	const samples =
		(await countLiveSamples(id)) > MAX_READ_SAMPLES ? await readLiveMinutes(id) : await readLiveSamples(id);
	const kept = thinCurve(
		samples.map((s) => s.cellV ?? s.voltageV ?? 0),
		DRAWN_POINTS / 2
	);
	return {
		run,
		view: await liveView(run),
		values: await valuesToConfirm(run),
		samples: samples.length > DRAWN_POINTS ? kept.map((i) => samples[i]!) : samples,
		place: await placeOf(run)
	};
}

/** A live run with its values, without its samples. */
export async function readLiveRun(id: number): Promise<{ run: LiveRun; view: LiveView; values: string[] }> {
	const run = await liveRuns.get(id);
	return { run, view: await liveView(run), values: await valuesToConfirm(run) };
}

/** A page of live runs; `bankId` and `state` filter. */
export function listLiveRuns(query: URLSearchParams) {
	const filter = Object.fromEntries(['bankId', 'state'].filter((f) => query.has(f)).map((f) => [f, query.get(f)!]));
	return liveRuns.list(filter, { page: Math.max(1, Number(query.get('page')) || 1), size: 100 });
}

/** Stored samples later than a moment (ms since 1970; from the first when missing); `more` when there are later ones still. */
export async function samplesAfter(
	id: number,
	afterMs: string | null
): Promise<{ samples: StoredSample[]; more: boolean }> {
	await liveRuns.get(id);
	const after = afterMs === null ? 0 : Number(afterMs);
	if (!Number.isFinite(after)) throw new InputError([{ path: 'afterMs', message: 'requires milliseconds since 1970' }]);
	const samples = await readLiveSamples(id, { afterMs: after, most: SAMPLES_A_TIME + 1 });
	return { samples: samples.slice(0, SAMPLES_A_TIME), more: samples.length > SAMPLES_A_TIME };
}

/** A person has seen an event; every page that shows it hears so. */
export async function markSeen(id: number) {
	const event = await liveEvents.get(id);
	if (event.seenAt) return event;
	const seen = await liveEvents.update(id, event.version, { seenAt: new Date().toISOString() });
	await tellView(await liveRuns.get(event.liveRunId));
	return seen;
}

/** Tells a run's view to whoever follows it. */
async function tellView(run: LiveRun): Promise<LiveView> {
	const view = await liveView(run);
	publish(run.id, { kind: 'view', view });
	return view;
}
