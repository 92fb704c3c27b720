import { followRun, startFollowing, type FollowCommand, type FollowEvent } from '$lib/core/foundation/live-run';
import { passingTrouble } from '../db/away';
import type { StoredSample } from '../db/stored-sample';
import { log } from '../log';
import { banks, type LiveRun } from '../records';
import { finishLiveRun } from './live-finish';
import { WATCHDOG_FACTOR, allOff, retryOff, driveOutput, openLinks, readPhase } from './live-outputs';
import { storedOf, toSample } from './live-reading';
import { storeOf } from './live-store';

/** One live run at work in this process. */
export interface LiveRunner {
	/** Ends the run: outputs off, everything stored. */
	stop(why: string): Promise<void>;
	/** Outputs off; a person lets it go on later. */
	hold(): Promise<void>;
	/** Leaves the run as it is and stores what was read: the application is going. */
	pause(): Promise<void>;
}

/** Between attempts to read an instrument that does not answer, ms. */
const RETRY_MS = 200;
/** Between attempts to write down that a run waits, while the database is away, ms. */
const DATABASE_RETRY_MS = 1000;

type What<E = FollowEvent> = E extends FollowEvent ? Omit<E, 'nowMs'> : never;

const runners = new Map<number, LiveRunner>();
export const runnerOf = (id: number): LiveRunner | null => runners.get(id) ?? null;
export const pauseAll = async (): Promise<void> =>
	void (await Promise.all([...runners.values()].map((r) => r.pause())));

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/**
 * Follows a run until it ends: tells {@link followRun} what happens and does what it says.
 * @param afterBreak it was going before this process began: the first stretch is a gap
 */
export async function startRunner(started: LiveRun, afterBreak: boolean): Promise<LiveRunner> {
	const links = await openLinks(started);
	const { rehearsal } = await banks.get(started.bankId);
	const store = storeOf(started, rehearsal, () => void handle({ kind: 'stored' }));
	const followed = { ...started, simulated: rehearsal };
	let state = startFollowing(started.progress, afterBreak, Date.now());
	let lastRead: StoredSample | null = null;
	let unreached: Awaited<ReturnType<typeof allOff>> = [];
	let runId: number | null = null;
	/** What a person, or the end of the application, asks for: taken up between two samples. */
	let asked: What | null = null;

	async function handle(what: What): Promise<void> {
		const [next, commands] = followRun(followed, state, { ...what, nowMs: Date.now() } as FollowEvent);
		state = next;
		for (const command of commands) await carryOut(command);
	}

	async function carryOut(command: FollowCommand): Promise<void> {
		switch (command.kind) {
			case 'keep-sample':
				// At the run's own time: an instrument's clock may step.
				return store.keepSample({ ...lastRead!, atMs: state.progress.last!.atMs });
			case 'tell':
				return store.tell(command.happening);
			case 'outputs-off':
				unreached = await allOff(links);
				return handle({ kind: 'outputs', unreached });
			case 'chase':
				return retryOff(links, unreached, (name) => void handle({ kind: 'off-at-last', name }));
			case 'store':
				return write();
			case 'finish':
				return finish();
		}
	}

	const standing = (): Partial<LiveRun> => {
		const { progress, mode, endedBy } = state;
		if (mode === 'waiting') return { progress, state: 'waiting' };
		if (mode !== 'ended') return { progress };
		return { progress, state: 'ended', endedAt: new Date().toISOString(), endedBy: endedBy!.slice(0, 200), runId };
	};

	/** While the run goes on what cannot be stored waits for the next time; that it waits or has ended is written before it is left. */
	async function write(): Promise<void> {
		for (;;) {
			try {
				return await store.store(standing());
			} catch (error) {
				if (!passingTrouble(error)) log.error({ err: error, liveRunId: started.id }, 'live run could not be stored');
				if (state.mode === 'going') return handle({ kind: 'not-stored' });
				if (!passingTrouble(error) || state.mode === 'left' || asked) return;
				await pause(DATABASE_RETRY_MS);
			}
		}
	}

	/** What follows from the run is entered before it is called ended: whoever sees the end sees the result. */
	async function finish(): Promise<void> {
		await write();
		try {
			runId = await finishLiveRun({ ...store.run(), progress: state.progress });
			await handle({ kind: 'finished', entered: true });
		} catch (error) {
			log.error({ err: error, liveRunId: started.id }, 'live run without result');
			await handle({ kind: 'finished', entered: false });
		}
	}

	/** Sets the output just before the phase's first sample: what flows between is counted nowhere. A lost answer is asked for again. */
	async function readOnce(): Promise<void> {
		const number = state.progress.phase;
		const phase = started.phases[number]!;
		if (!state.driven) {
			await driveOutput(links, phase, started.deadManS * WATCHDOG_FACTOR);
			await handle({ kind: 'driven' });
		}
		const reading = await readPhase(links, phase);
		lastRead = storedOf(reading, number);
		await handle({ kind: 'sampled', sample: toSample(reading, links, phase), allows: reading.main.allows });
	}

	async function follow(): Promise<void> {
		// Ended while the application was going: only the end itself is left to do.
		if (state.progress.done) await handle({ kind: 'stop', why: 'Ended.' });
		while (state.mode === 'going' && !asked) {
			const begunMs = Date.now();
			try {
				await readOnce();
				if (state.driven) await pause(Math.max(0, started.intervalMs - (Date.now() - begunMs)));
			} catch (error) {
				if ((error as Error).name !== 'InstrumentError') log.error({ err: error, liveRunId: started.id }, 'live run');
				await handle({ kind: 'unanswered', why: (error as Error).message });
				await pause(RETRY_MS);
			}
		}
		if (asked?.kind !== 'stop') runners.delete(started.id);
	}

	const following: { done: Promise<void> } = { done: Promise.resolve() };
	const ask = async (what: What): Promise<void> => {
		asked = what;
		await following.done;
		await handle(what);
		runners.delete(started.id);
	};
	const runner: LiveRunner = {
		stop: (why) => ask({ kind: 'stop', why }),
		hold: () => ask({ kind: 'hold' }),
		pause: () => ask({ kind: 'leave' })
	};
	runners.set(started.id, runner);
	following.done = follow();
	return runner;
}
