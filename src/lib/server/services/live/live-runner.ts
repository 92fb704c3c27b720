import { takeSample, type LiveEvent, type LiveSample, type LiveState } from '$lib/core/live-run';
import { database } from '../../db/connection';
import { insertLiveSamples, type StoredSample } from '../../db/live-samples';
import { banks, liveEvents, liveRuns, type LiveInstrument, type LiveRun } from '../../db/tables';
import { log } from '../../log';
import { saveBenchState } from '../rehearsal-bench';
import { finishLiveRun, noteBalanceReadings } from './live-finish';
import { publish } from './live-hub';
import { allOff, driveOutput, openLinks, outputOf, readPhase, type LiveLinks, type PhaseReading } from './live-outputs';
import { liveView } from './live-view';

/** One live run at work in this process. */
export interface LiveRunner {
	/** Ends the run: outputs off, everything stored. */
	stop(why: string): Promise<void>;
	/** Leaves the run as it is and stores what was read: the application is going. */
	pause(): Promise<void>;
}

/** Samples are stored, and only then shown, at least this often, ms. */
const FLUSH_MS = 250;
/** Between attempts to read an instrument that does not answer, ms. */
const RETRY_MS = 200;
/** A rehearsal's bench is saved this often while a run goes on, ms. */
const SAVE_BENCH_MS = 5000;
/** The instrument's own watchdog waits this much longer than ours: ours can say why. */
const WATCHDOG_FACTOR = 2;

const runners = new Map<number, LiveRunner>();
export const runnerOf = (id: number): LiveRunner | null => runners.get(id) ?? null;
export const pauseAll = async (): Promise<void> =>
	void (await Promise.all([...runners.values()].map((r) => r.pause())));

const corrected = (value: number | null, { voltageOffsetV }: LiveInstrument) =>
	value === null ? null : value - voltageOffsetV;

/** The instruments' figures with their calibration taken out. */
function toSample(reading: PhaseReading, links: LiveLinks, run: LiveRun): LiveSample {
	const phase = run.phases[run.progress.phase];
	const main =
		links[outputOf(phase) ?? (phase.kind === 'watch' ? (links.bms ? 'bms' : 'shunt') : 'load')] ?? links.voltmeter!;
	const { calibration } = main;
	const { main: shown, meter } = reading;
	const amperes = phase.kind === 'watch' && meter?.currentA != null ? meter.currentA : (shown.currentA ?? 0);
	return {
		atMs: shown.atMs,
		voltageV: corrected(shown.voltageV, calibration),
		currentA: amperes / (1 + calibration.currentGainPercent / 100),
		cellV:
			phase.kind !== 'watch' && meter && links.voltmeter
				? corrected(meter.voltageV, links.voltmeter.calibration)
				: null,
		outputOn: outputOf(phase) ? shown.on : null,
		cutOff: shown.cutOff === true
	};
}

const stored = (reading: PhaseReading, phase: number): StoredSample => ({
	atMs: reading.main.atMs,
	phase,
	voltageV: reading.main.voltageV,
	currentA: reading.main.currentA ?? reading.meter?.currentA ?? 0,
	cellV: reading.meter?.voltageV ?? null,
	temperatureC: reading.main.temperatureC,
	groupsV: reading.main.groupV
});

/**
 * Follows a run until it ends. @param afterBreak it was going before this process began: the first stretch is a gap
 */
export async function startRunner(started: LiveRun, afterBreak: boolean): Promise<LiveRunner> {
	let run = started;
	const links = await openLinks(run);
	let buffer: StoredSample[] = [];
	let happened: LiveEvent[] = [];
	let broken = afterBreak;
	let stopping: 'no' | 'pause' | 'stop' = 'no';
	let lastHeardMs = Date.now();
	let lastFlushMs = Date.now();
	let saidSilent = false;
	let lastSavedMs = Date.now();
	const { rehearsal } = await banks.get(run.bankId);

	const happen = (kind: LiveEvent['kind'] | string, message: string, needsPerson: boolean) =>
		void happened.push({
			kind: kind as LiveEvent['kind'],
			atMs: run.progress.last?.atMs ?? Date.now(),
			message,
			needsPerson
		});

	/** Stores what has come since, in one transaction; only what is stored is shown. */
	async function flush(more: Partial<LiveRun> = {}): Promise<void> {
		const [samples, events] = [buffer, happened];
		if (samples.length === 0 && events.length === 0 && Object.keys(more).length === 0) return;
		buffer = [];
		happened = [];
		try {
			await database().transaction(async (tx) => {
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
				run = { ...(await liveRuns.update(run.id, run.version, { progress: run.progress, ...more }, tx)) };
			});
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

	async function enterPhase(state: LiveState): Promise<void> {
		const unreached = await allOff(links);
		if (unreached.length)
			happen('output', `The ${unreached.join(' and ')} could not be switched off: do it by hand now.`, true);
		if (state.done) return;
		await driveOutput(links, run.phases[state.phase], run.deadManS * WATCHDOG_FACTOR);
	}

	async function deadMan(): Promise<void> {
		const seconds = Math.round((Date.now() - lastHeardMs) / 1000);
		const unreached = await allOff(links);
		happen(
			'dead-man',
			unreached.length
				? `No sample for ${seconds} s, and the ${unreached.join(' and ')} cannot be reached: switch it off by hand now.`
				: `No sample for ${seconds} s: the output was switched off.`,
			true
		);
		stopping = 'pause';
		await flush({ state: 'waiting' });
	}

	async function once(): Promise<void> {
		const phaseNumber = run.progress.phase;
		const reading = await readPhase(links, run.phases[phaseNumber]);
		lastHeardMs = Date.now();
		saidSilent = false;
		const step = takeSample(run.phases, run.progress, toSample(reading, links, run), broken, run.expectedAh);
		if (step.state !== run.progress) buffer.push(stored(reading, phaseNumber));
		broken = false;
		happened.push(...step.events);
		const moved = step.state.phase !== phaseNumber || step.state.done;
		run = { ...run, progress: step.state };
		if (moved) await enterPhase(step.state);
		if (step.events.some((e) => e.kind === 'output-lost')) {
			stopping = 'pause';
			await flush({ state: 'waiting' });
		} else if (step.state.done) {
			await flush();
			await end(step.events.at(-1)!.message);
		} else if (Date.now() - lastFlushMs >= FLUSH_MS) await flush();
	}

	/** What follows from the run is entered before it is called ended: whoever sees the end sees the result. */
	async function end(why: string): Promise<void> {
		stopping = 'stop';
		await allOff(links);
		await flush();
		const runId = await finishLiveRun(run);
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
			await pause(Math.max(0, run.intervalMs - (Date.now() - begunMs)));
		}
		runners.delete(run.id);
	}

	async function misread(error: Error): Promise<void> {
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
