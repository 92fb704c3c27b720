import { idOf, problemOf } from '$lib/server/http/endpoint';
import { eventStream } from '$lib/server/http/event-stream';
import { subscribe } from '$lib/server/services/live/live-hub';
import { followedViews } from '$lib/server/services/live/live-service';
import type { RequestHandler } from './$types';

/** Everything live as it happens (server-sent events): views of all runs, samples of one. Only what is stored is sent. */
export const GET: RequestHandler = async ({ url }) => {
	try {
		const named = url.searchParams.get('samples');
		const samplesOf = named === null ? null : idOf(named, 'live run');
		const views = await followedViews(samplesOf);
		return eventStream((send) => {
			for (const view of views) send('view', view);
			return subscribe((id, message) => {
				if (message.kind === 'view') send('view', message.view);
				else if (id === samplesOf) send('samples', message.samples, message.samples.at(-1)!.atMs);
			});
		});
	} catch (error) {
		return problemOf(error);
	}
};
