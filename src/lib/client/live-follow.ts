import { api } from './api';

export interface LiveSampleShown {
	atMs: number;
	phase: number;
	voltageV: number | null;
	currentA: number;
	cellV: number | null;
	groupsV: number[] | null;
}

interface Followed<View> {
	onSamples(samples: LiveSampleShown[]): void;
	onView(view: View): void;
	/** The line to the server is there, or broken and being tried again. */
	onLine(open: boolean): void;
}

/**
 * Follows a live run (server-sent events). After a broken line the samples that were missed are fetched first, so that none is
 * left out. @param afterMs the last sample already known @returns how to stop
 */
export function followLive<View>(id: number, afterMs: number, follow: Followed<View>): () => void {
	let lastMs = afterMs;
	const take = (samples: LiveSampleShown[]) => {
		const fresh = samples.filter((s) => s.atMs > lastMs);
		if (fresh.length === 0) return;
		lastMs = fresh[fresh.length - 1].atMs;
		follow.onSamples(fresh);
	};
	const source = new EventSource(`/api/v1/live-runs/${id}/stream`);
	source.addEventListener('open', () => {
		follow.onLine(true);
		void api
			.get<{ samples: LiveSampleShown[] }>(`live-runs/${id}/samples?afterMs=${lastMs}`)
			.then(({ samples }) => take(samples))
			.catch(() => undefined);
	});
	source.addEventListener('error', () => follow.onLine(false));
	source.addEventListener('samples', (event) => take(JSON.parse(event.data as string) as LiveSampleShown[]));
	source.addEventListener('view', (event) => follow.onView(JSON.parse(event.data as string) as View));
	return () => source.close();
}
