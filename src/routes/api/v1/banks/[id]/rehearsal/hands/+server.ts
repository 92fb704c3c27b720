import { HandsInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { moveHands } from '$lib/server/rehearsals/hands';

export const POST = endpoint(async ({ params, request }) =>
	moveHands(idOf(params.id!, 'bank'), validated(HandsInput, await jsonBody(request)))
);
