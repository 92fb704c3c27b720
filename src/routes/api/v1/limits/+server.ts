import { LimitsRequest } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { limitValues } from '$lib/server/stages/limits/computed';

export const POST = endpoint(async ({ request }) => limitValues(validated(LimitsRequest, await jsonBody(request))));
