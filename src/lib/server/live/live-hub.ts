import type { StoredSample } from '../db/stored-sample';
import type { LiveView } from './live-view';

/** What a page is told of a live run as it happens. Samples are told only once they are stored. */
export type LiveMessage = { kind: 'samples'; samples: StoredSample[] } | { kind: 'view'; view: LiveView };
type Listener = (liveRunId: number, message: LiveMessage) => void;

const listeners = new Set<Listener>();

/** Hears what happens in every live run. @returns how to stop hearing */
export function subscribe(listener: Listener): () => void {
	listeners.add(listener);
	return () => void listeners.delete(listener);
}

export const publish = (liveRunId: number, message: LiveMessage): void =>
	listeners.forEach((listener) => listener(liveRunId, message));
