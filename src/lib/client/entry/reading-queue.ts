import type { Probe, Quantity, ReadState } from '$lib/core/foundation/reading';
import { ApiProblem, api } from '../api/api';

/** A typed reading on its way to the server. `clientKey` makes a repeated send harmless. */
export interface QueuedReading {
	clientKey: string;
	cellId: number;
	quantity: Quantity;
	rawText: string;
	takenAt: string;
	takenDoubtS?: number;
	state?: ReadState;
	stateA?: number | null;
	probe?: Probe;
}

const STORE_KEY = 'kind-ember-unsent-readings';
const RETRY_MS = 4000;

/** Where unsent readings wait: survives a reload and a dead server. */
export interface QueueStore {
	read(): QueuedReading[];
	write(items: QueuedReading[]): void;
}

/** The browser's own storage. */
export const browserStore: QueueStore = {
	read: () => JSON.parse(localStorage.getItem(STORE_KEY) ?? '[]') as QueuedReading[],
	write: (items) => localStorage.setItem(STORE_KEY, JSON.stringify(items))
};

type Sender = (reading: QueuedReading) => Promise<{ id: number; version: number }>;
const sendReading: Sender = (reading) => api.post('readings', reading);

/**
 * Sends readings in the order typed; keeps them while the server is away and tries again. A reading the server
 * refuses is taken out and reported, never lost silently.
 */
export class ReadingQueue {
	private sending = false;

	constructor(
		private readonly onSent: (reading: QueuedReading, stored: { id: number; version: number }) => void,
		private readonly onRefused: (reading: QueuedReading, why: string) => void,
		private readonly onWaiting: (count: number) => void,
		private readonly store: QueueStore = browserStore,
		private readonly send: Sender = sendReading
	) {}

	/** Keeps the reading at once and starts sending. */
	add(reading: QueuedReading): void {
		this.store.write([...this.store.read(), reading]);
		void this.flush();
	}

	/** Sends what waits. Ends when all is sent or the server is away (then it tries again by itself). */
	async flush(): Promise<void> {
		if (this.sending) return;
		this.sending = true;
		try {
			for (let [next] = this.store.read(); next; [next] = this.store.read()) {
				try {
					this.onSent(next, await this.send(next));
				} catch (error) {
					if (!(error instanceof ApiProblem) || error.status === 0 || error.status >= 500) {
						setTimeout(() => void this.flush(), RETRY_MS);
						return;
					}
					this.onRefused(next, error.message);
				}
				this.drop(next.clientKey);
			}
		} finally {
			this.sending = false;
			this.onWaiting(this.store.read().length);
		}
	}

	private drop(clientKey: string): void {
		this.store.write(this.store.read().filter((r) => r.clientKey !== clientKey));
	}
}
