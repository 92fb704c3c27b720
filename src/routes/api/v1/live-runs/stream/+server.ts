import { idOf, problemOf } from '$lib/server/http/endpoint';
import { eventStream } from '$lib/server/http/event-stream';
import { followLive } from '$lib/server/live/live-follow';
import { readLiveRun } from '$lib/server/live/live-service';
import type { RequestHandler } from './$types';

/** Everything live as it happens (server-sent events): views of all runs, samples of one. Only what is stored is sent. */
export const GET: RequestHandler = async ({ url }) => {
	try {
		const named = url.searchParams.get('samples');
		const samplesOf = named === null ? null : idOf(named, 'live run');
		if (samplesOf !== null) await readLiveRun(samplesOf);
		return eventStream((send) =>
			followLive(samplesOf, (message) => {
				if (message.kind === 'view') send('view', message.view);
				else send('samples', message.samples, message.samples.at(-1)!.atMs);
			})
		);
	} catch (error) {
		return problemOf(error);
	}
};
