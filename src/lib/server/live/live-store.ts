import type { Happening } from '$lib/core/foundation/live-run';
import { database } from '../db/connection';
import { insertLiveSamples } from '../db/live-samples';
import type { StoredSample } from '../db/stored-sample';
import { oneAtATime } from '../one-at-a-time';
import { liveEvents, liveRuns, type LiveRun } from '../records';
import { settleLiveEvents } from '../records/live-events/settle';
import { saveBenchState } from '../rehearsals/bench/bench';
import { noteBalanceReadings } from './live-finish';
import { publish } from './live-hub';
import { liveView } from './live-view';

/** What a run has read and told and what is not yet in the database. */
export interface LiveStore {
	keepSample(sample: StoredSample): void;
	tell(happening: Happening): void;
	/** Stores all that has come since, with how the run stands, in one transaction; only what is stored is shown. */
	store(more: Partial<LiveRun>): Promise<void>;
	run(): LiveRun;
}

/** A rehearsal's bench is saved this often while a run goes on, ms. */
const SAVE_BENCH_MS = 5000;
/** Longest sentence an event keeps. */
const MESSAGE_LENGTH = 400;

/** @param onStored called when a transaction has gone through, before it is shown */
export function storeOf(started: LiveRun, rehearsal: boolean, onStored: () => void): LiveStore {
	let run = started;
	let samples: StoredSample[] = [];
	let told: Happening[] = [];
	let benchSavedMs = Date.now();
	/** One storing after the other: each builds on the version the one before left. */
	const inTurn = oneAtATime();

	const events = (happenings: Happening[]) =>
		happenings.map(({ kind, atMs, message, needsPerson }) => ({
			liveRunId: run.id,
			happenedAt: new Date(atMs).toISOString(),
			kind,
			message: message.slice(0, MESSAGE_LENGTH),
			needsPerson
		}));

	async function write(more: Partial<LiveRun>): Promise<void> {
		const [newSamples, newTold] = [samples, told];
		samples = [];
		told = [];
		try {
			run = await database().transaction(async (tx) => {
				await insertLiveSamples(run.id, newSamples, tx);
				for (const { settles } of newTold) if (settles) await settleLiveEvents(run.id, tx, settles);
				await liveEvents.insertMany(events(newTold), tx);
				return liveRuns.update(run.id, run.version, more, tx);
			});
		} catch (error) {
			// Kept for the next attempt: what has been read is not lost while this process lives.
			samples = [...newSamples, ...samples];
			told = [...newTold, ...told];
			throw error;
		}
		onStored();
		await show(newSamples);
	}

	async function show(stored: readonly StoredSample[]): Promise<void> {
		if (stored.length) publish(run.id, { kind: 'samples', samples: [...stored] });
		if (run.kind === 'balance') await noteBalanceReadings(run, stored);
		if (rehearsal && Date.now() - benchSavedMs > SAVE_BENCH_MS) {
			benchSavedMs = Date.now();
			await saveBenchState();
		}
		publish(run.id, { kind: 'view', view: await liveView(run) });
	}

	return {
		keepSample: (sample) => void samples.push(sample),
		tell: (happening) => void told.push(happening),
		store: (more) => inTurn(() => write(more)),
		run: () => run
	};
}
