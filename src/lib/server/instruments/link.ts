import type { Driver, Identity } from './driver';
import { oneAtATime } from '../one-at-a-time';
import { InstrumentError } from './instrument-error';

export interface LinkStatus {
	connected: boolean;
	identity: Identity | null;
	/** What went wrong last, and when it will be tried again; null while all is well. */
	trouble: { message: string; retryAtMs: number } | null;
}

/** A lasting line to one instrument: connects when it is used, and after trouble waits longer and longer before it tries again. */
export interface Link {
	/** Uses the instrument. @throws InstrumentError `away` at once while it waits to try again */
	use<T>(work: (driver: Driver) => Promise<T>): Promise<T>;
	/** As {@link use}, but does not wait its turn to try again: a person asked, or an output must go off. */
	useNow<T>(work: (driver: Driver) => Promise<T>): Promise<T>;
	/** As {@link useNow}, and without asking who answers: an output is told to go off even where no sensible answer comes back. */
	attemptOnce(work: (driver: Driver) => Promise<void>): Promise<void>;
	status(): LinkStatus;
	close(): void;
}

/** Waits between attempts, ms: doubling from the first to the longest. */
export const BACK_OFF_MS = { first: 250, longest: 30_000 };

/** @param open makes the connection; @param now real clock, ms */
export function createLink(open: () => Promise<Driver>, now: () => number): Link {
	let driver: Driver | null = null;
	let identity: Identity | null = null;
	let trouble: LinkStatus['trouble'] = null;
	let waitMs = 0;
	const inTurn = oneAtATime();

	function drop(error: InstrumentError): void {
		driver?.close();
		driver = null;
		waitMs = Math.min(BACK_OFF_MS.longest, waitMs === 0 ? BACK_OFF_MS.first : 2 * waitMs);
		trouble = { message: error.message, retryAtMs: now() + waitMs };
	}
	async function connected(known: boolean): Promise<Driver> {
		if (driver) return driver;
		const opened = await open();
		if (!known) return opened;
		try {
			identity = await opened.identify();
		} catch (error) {
			opened.close();
			throw error;
		}
		driver = opened;
		return opened;
	}
	async function attempt<T>(work: (driver: Driver) => Promise<T>, patient: boolean, known = true): Promise<T> {
		if (patient && !driver && trouble && now() < trouble.retryAtMs) throw new InstrumentError('away', trouble.message);
		try {
			const used = await connected(known);
			const result = await work(used).finally(() => used !== driver && used.close());
			trouble = null;
			waitMs = 0;
			return result;
		} catch (error) {
			const known =
				error instanceof InstrumentError ? error : new InstrumentError('away', String((error as Error).message));
			// A refusal is an answer: the line is sound.
			if (known.fault !== 'refused') drop(known);
			throw known;
		}
	}
	return {
		use: (work) => inTurn(() => attempt(work, true)),
		useNow: (work) => inTurn(() => attempt(work, false)),
		attemptOnce: (work) => inTurn(() => attempt(work, false, false)),
		status: () => ({ connected: driver !== null, identity, trouble }),
		close() {
			driver?.close();
			driver = null;
		}
	};
}
