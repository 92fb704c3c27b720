import { WatchedCheckInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { keepWatchedCheck } from '$lib/server/stages/serve/watched-check';

export const POST = endpoint(async ({ params, request }) =>
	keepWatchedCheck(idOf(params.id!, 'live run'), validated(WatchedCheckInput, await jsonBody(request)))
);
