import { LeftJoinedRequest } from '$lib/input/joining';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { leftJoinedOf } from '$lib/server/stages/balance/computed';

export const POST = endpoint(async ({ request }, gone) =>
	leftJoinedOf(validated(LeftJoinedRequest, await jsonBody(request)), gone)
);
