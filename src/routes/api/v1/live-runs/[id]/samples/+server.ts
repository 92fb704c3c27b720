import { endpoint, idOf } from '$lib/server/http/endpoint';
import { samplesAfter } from '$lib/server/live/live-service';

export const GET = endpoint(async ({ params, url }) =>
	samplesAfter(idOf(params.id!, 'live run'), url.searchParams.get('afterMs'))
);
