import { FitNotesRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { fitSpotNotes } from '$lib/server/stages/test/computed';

export const POST = endpoint(async ({ request }, gone) =>
	fitSpotNotes(validated(FitNotesRequest, await jsonBody(request)), gone)
);
