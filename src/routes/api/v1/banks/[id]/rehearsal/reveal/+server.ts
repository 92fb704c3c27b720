import { ConclusionsInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { revealRehearsal } from '$lib/server/rehearsals/rehearsal';

export const POST = endpoint(async ({ params, request }) =>
	revealRehearsal(idOf(params.id!, 'bank'), validated(ConclusionsInput, await jsonBody(request)))
);
