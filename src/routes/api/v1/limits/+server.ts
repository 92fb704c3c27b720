import { computeLimits } from '$lib/core/limits';
import { LimitsRequest } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';

export const POST = endpoint(async ({ request }) => ({
	values: computeLimits(validated(LimitsRequest, await jsonBody(request)))
}));
