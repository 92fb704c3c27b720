import { TestersRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { testersOf } from '$lib/server/stages/test/computed';

export const POST = endpoint(async ({ request }) => testersOf(validated(TestersRequest, await jsonBody(request))));
