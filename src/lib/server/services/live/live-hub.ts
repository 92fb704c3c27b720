import type { StoredSample } from '../../db/live-samples';
import type { LiveView } from './live-view';

/** What a page is told as it happens. Samples are told only once they are stored. */
export type LiveMessage = { kind: 'samples'; samples: StoredSample[] } | { kind: 'view'; view: LiveView };
type Listener = (message: LiveMessage) => void;

const listeners = new Map<number, Set<Listener>>();

/** Hears what happens in a live run. @returns how to stop hearing */
export function subscribe(liveRunId: number, listener: Listener): () => void {
	const own = listeners.get(liveRunId) ?? new Set();
	listeners.set(liveRunId, own.add(listener));
	return () => {
		own.delete(listener);
		if (own.size === 0) listeners.delete(liveRunId);
	};
}

export const publish = (liveRunId: number, message: LiveMessage): void =>
	listeners.get(liveRunId)?.forEach((listener) => listener(message));
