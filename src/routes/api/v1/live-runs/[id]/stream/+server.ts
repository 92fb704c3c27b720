import { idOf, problemOf } from '$lib/server/http/endpoint';
import { eventStream } from '$lib/server/http/event-stream';
import { subscribe } from '$lib/server/services/live/live-hub';
import { readLiveRun } from '$lib/server/services/live/live-service';
import type { RequestHandler } from './$types';

/** Samples and state of a live run as they come (server-sent events); only what is stored is sent. */
export const GET: RequestHandler = async ({ params }) => {
	try {
		const id = idOf(params.id, 'live run');
		const { view } = await readLiveRun(id);
		return eventStream((send) => {
			send('view', view);
			return subscribe(id, (message) =>
				message.kind === 'samples'
					? send('samples', message.samples, message.samples.at(-1)!.atMs)
					: send('view', message.view)
			);
		});
	} catch (error) {
		return problemOf(error);
	}
};
