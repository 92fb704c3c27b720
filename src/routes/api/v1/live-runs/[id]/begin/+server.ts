import { LiveConfirmInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { beginLiveRun } from '$lib/server/live/live-begin';

export const POST = endpoint(async ({ params, request }) =>
	beginLiveRun(idOf(params.id!, 'live run'), validated(LiveConfirmInput, await jsonBody(request)))
);
