import { takeSample, type LiveEvent, type LiveState } from '$lib/core/live-run';
import { isDatabaseAway } from '../db/away';
import { database } from '../db/connection';
import { insertLiveSamples } from '../db/live-samples';
import type { StoredSample } from '../db/stored-sample';
import { banks, liveEvents, liveRuns, type LiveRun } from '../records';
import type { InstrumentReading } from '../instruments/driver';
import { log } from '../log';
import { oneAtATime } from '../one-at-a-time';
import { saveBenchState } from '../services/rehearsal-bench';
import { finishLiveRun, noteBalanceReadings } from './live-finish';
import { publish } from './live-hub';
import {
	WATCHDOG_FACTOR,
	allOff,
	chaseOff,
	driveOutput,
	openLinks,
	readPhase,
	type PhaseReading
} from './live-outputs';
import { storedOf, toSample } from './live-reading';
import { liveView } from './live-view';

/** One live run at work in this process. */
export interface LiveRunner {
	/** Ends the run: outputs off, everything stored. */
	stop(why: string): Promise<void>;
	/** Leaves the run as it is and stores what was read: the application is going. */
	pause(): Promise<void>;
}

/** Something a run tells: what its samples show (core), and what happens to its instruments. */
type Happened = Omit<LiveEvent, 'kind'> & { kind: string };

/** Samples are stored, and only then shown, at least this often, ms. */
const FLUSH_MS = 250;
/** Between attempts to read an instrument that does not answer, ms. */
const RETRY_MS = 200;
/** Between attempts to store what was read while the database is away, ms. */
const DATABASE_RETRY_MS = 1000;
/** A rehearsal's bench is saved this often while a run goes on, ms. */
const SAVE_BENCH_MS = 5000;

const runners = new Map<number, LiveRunner>();
export const runnerOf = (id: number): LiveRunner | null => runners.get(id) ?? null;
export const pauseAll = async (): Promise<void> =>
	void (await Promise.all([...runners.values()].map((r) => r.pause())));

/**
 * Follows a run until it ends. @param afterBreak it was going before this process began: the first stretch is a gap
 */
export async function startRunner(started: LiveRun, afterBreak: boolean): Promise<LiveRunner> {
	let run = started;
	const links = await openLinks(run);
	let buffer: StoredSample[] = [];
	let happened: Happened[] = [];
	let broken = afterBreak;
	let stopping: 'no' | 'pause' | 'stop' = 'no';
	let lastHeardMs = Date.now();
	let lastFlushMs = Date.now();
	let saidSilent = false;
	/** A phase has begun whose output has not yet taken its values. */
	let undriven = false;
	let allowed: InstrumentReading['allows'] = null;
	let lastSavedMs = Date.now();
	const { rehearsal } = await banks.get(run.bankId);

	const happen = (kind: string, message: string, needsPerson: boolean) =>
		void happened.push({ kind, atMs: run.progress.last?.atMs ?? Date.now(), message, needsPerson });

	/** One storing after the other: each builds on the version the one before left. */
	const inTurn = oneAtATime();
	const flush = (more: Partial<LiveRun> = {}): Promise<void> => inTurn(() => store(more));

	/** Stores what has come since, in one transaction; only what is stored is shown. */
	async function store(more: Partial<LiveRun>): Promise<void> {
		const [samples, events] = [buffer, happened];
		if (samples.length === 0 && events.length === 0 && Object.keys(more).length === 0) return;
		buffer = [];
		happened = [];
		try {
			const updated = await database().transaction(async (tx) => {
				await insertLiveSamples(run.id, samples, tx);
				await liveEvents.insertMany(
					events.map(({ kind, atMs, message, needsPerson }) => ({
						liveRunId: run.id,
						happenedAt: new Date(atMs).toISOString(),
						kind,
						message: message.slice(0, 400),
						needsPerson
					})),
					tx
				);
				return liveRuns.update(run.id, run.version, { progress: run.progress, ...more }, tx);
			});
			// Samples may have come in while it was stored.
			run = { ...updated, progress: run.progress };
		} catch (error) {
			// Kept for the next attempt: what has been read is not lost while this process lives.
			buffer = [...samples, ...buffer];
			happened = [...events, ...happened];
			throw error;
		}
		lastFlushMs = Date.now();
		if (samples.length) publish(run.id, { kind: 'samples', samples });
		if (run.kind === 'balance') await noteBalanceReadings(run, samples);
		if (rehearsal && Date.now() - lastSavedMs > SAVE_BENCH_MS) {
			lastSavedMs = Date.now();
			await saveBenchState();
		}
		publish(run.id, { kind: 'view', view: await liveView(run) });
	}

	/** Everything off; what cannot be reached is named to a person and tried again until it is. @returns whether all is off */
	async function switchOff(): Promise<boolean> {
		const unreached = await allOff(links);
		if (unreached.length === 0) return true;
		happen('output', `The ${unreached.join(' and ')} cannot be reached: switch it off by hand now.`, true);
		chaseOff(links, unreached, (name) => {
			happen('output-off', `${name} is off at last.`, false);
			void flush().catch((error) => log.error({ err: error, liveRunId: run.id }, 'live run'));
		});
		return false;
	}

	/** The run stops where it is and waits for a person. */
	async function waitForPerson(): Promise<void> {
		stopping = 'pause';
		await flush({ state: 'waiting' });
	}

	async function enterPhase(state: LiveState): Promise<void> {
		const off = await switchOff();
		if (state.done) return;
		if (!off) return waitForPerson();
		undriven = true;
	}

	/**
	 * Sets and switches on the phase's output, just before its first sample: what flows between is counted nowhere. After an answer
	 * lost it is told again, until the dead man's time is up.
	 */
	async function drive(): Promise<void> {
		await driveOutput(links, run.phases[run.progress.phase]!, run.deadManS * WATCHDOG_FACTOR);
		undriven = false;
	}

	async function deadMan(): Promise<void> {
		const seconds = Math.round((Date.now() - lastHeardMs) / 1000);
		const off = await switchOff();
		happen('dead-man', `No sample for ${seconds} s${off ? ': the output was switched off' : ''}.`, true);
		await waitForPerson();
	}

	/** A BMS that cuts the charge or the discharge, or lets it through again, is news. */
	function noteBms({ main }: PhaseReading): void {
		const now = main.allows;
		if (now && allowed)
			for (const way of ['charge', 'discharge'] as const)
				if (now[way] !== allowed[way])
					happen('bms', `The BMS ${now[way] ? `lets the ${way} through again` : `has cut the ${way}`}.`, !now[way]);
		allowed = now;
	}

	async function once(): Promise<void> {
		const phaseNumber = run.progress.phase;
		if (undriven) await drive();
		const reading = await readPhase(links, run.phases[phaseNumber]!);
		lastHeardMs = Date.now();
		saidSilent = false;
		const sample = toSample(reading, links, run.phases[phaseNumber]!);
		const step = takeSample(run.phases, run.progress, sample, broken, run.expectedAh);
		if (step.state !== run.progress) buffer.push(storedOf(reading, phaseNumber));
		noteBms(reading);
		broken = false;
		happened.push(...step.events);
		const moved = step.state.phase !== phaseNumber || step.state.done;
		run = { ...run, progress: step.state };
		if (moved) await enterPhase(step.state);
		if (stopping !== 'no') return;
		const kinds = step.events.map((e) => e.kind);
		if (kinds.includes('over-voltage')) await switchOff();
		if (kinds.includes('over-voltage') || kinds.includes('output-lost')) await waitForPerson();
		else if (step.state.done) {
			await flush();
			await end(step.events.at(-1)!.message);
		} else if (Date.now() - lastFlushMs >= FLUSH_MS) await flush();
	}

	/** What follows from the run is entered before it is called ended: whoever sees the end sees the result. */
	async function end(why: string): Promise<void> {
		stopping = 'stop';
		await switchOff();
		await flush();
		const runId = await finishLiveRun(run).catch((error) => {
			log.error({ err: error, liveRunId: run.id }, 'live run without result');
			happen('no-result', 'No result could be entered from this run. What was read is kept.', true);
			return null;
		});
		await flush({ state: 'ended', endedAt: new Date().toISOString(), endedBy: why.slice(0, 200), runId });
	}

	async function follow(): Promise<void> {
		// Ended while the application was going: only the end itself is left to do.
		if (run.progress.done) await end('Ended.').catch((error) => log.error({ err: error }, 'live run'));
		while (stopping === 'no') {
			const begunMs = Date.now();
			try {
				await once();
			} catch (error) {
				await misread(error as Error);
			}
			if (stopping !== 'no') break;
			if (!undriven) await pause(Math.max(0, run.intervalMs - (Date.now() - begunMs)));
		}
		runners.delete(run.id);
	}

	/**
	 * What is read cannot be stored: for so long nobody watches over a run that nobody could take up again. Its output goes off,
	 * what was read is kept here, and it waits for a person as soon as that can be written down.
	 */
	async function databaseAway(): Promise<void> {
		const seconds = Math.round((Date.now() - lastFlushMs) / 1000);
		const off = await switchOff();
		happen(
			'no-database',
			`Nothing could be stored for ${seconds} s${off ? ': the output was switched off' : ''}.`,
			true
		);
		stopping = 'pause';
		while (runners.has(run.id)) {
			const stored = await flush({ state: 'waiting' }).then(
				() => true,
				() => false
			);
			if (stored) return;
			await pause(DATABASE_RETRY_MS);
		}
	}

	async function misread(error: Error): Promise<void> {
		if (isDatabaseAway(error)) {
			if (Date.now() - lastFlushMs > run.deadManS * 1000) await databaseAway();
			else await pause(RETRY_MS);
			return;
		}
		if (error.name !== 'InstrumentError') log.error({ err: error, liveRunId: run.id }, 'live run');
		const silentMs = Date.now() - lastHeardMs;
		if (!saidSilent && silentMs > 2000) {
			saidSilent = true;
			happen('silent', `The instrument does not answer: ${error.message}`, false);
		}
		try {
			if (silentMs > run.deadManS * 1000) await deadMan();
			else if (happened.length) await flush();
		} catch (second) {
			log.error({ err: second, liveRunId: run.id }, 'live run could not be stored');
		}
		await pause(RETRY_MS);
	}

	const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
	let following: Promise<void> = Promise.resolve();
	const runner: LiveRunner = {
		async stop(why) {
			stopping = 'stop';
			await following;
			await end(why);
			runners.delete(run.id);
		},
		async pause() {
			if (stopping === 'no') stopping = 'pause';
			await following;
			await flush().catch(() => undefined);
		}
	};
	runners.set(run.id, runner);
	following = follow();
	return runner;
}
