import { liveRuns } from '../records';
import { log } from '../log';
import { openRuns } from './open-runs';
import { subscribe, type LiveMessage } from './live-hub';
import { liveView, type LiveView } from './live-view';

/** Views of every run that goes on or waits for a person, and of one more when it is named. */
async function viewsNow(alsoId: number | null): Promise<LiveView[]> {
	const also = alsoId === null ? [] : [await liveRuns.get(alsoId)];
	return Promise.all([...also, ...(await openRuns()).filter((r) => r.id !== alsoId)].map(liveView));
}

/**
 * Tells how every live run stands, then each change, and the samples of one run when it is named. What happens while the first
 * is being read is told after it: nothing is missed between. @returns how to stop
 */
export function followLive(samplesOf: number | null, tell: (message: LiveMessage) => void): () => void {
	let held: LiveMessage[] | null = [];
	const stop = subscribe((id, message) => {
		if (message.kind === 'samples' && id !== samplesOf) return;
		if (held) held.push(message);
		else tell(message);
	});
	void viewsNow(samplesOf)
		.then((views) => views.forEach((view) => tell({ kind: 'view', view })))
		.catch((error) => log.error({ err: error }, 'live views'))
		.finally(() => {
			held?.forEach(tell);
			held = null;
		});
	return stop;
}
