import { TestQueueRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { testQueue } from '$lib/server/stages/test/computed';

export const POST = endpoint(async ({ request }, gone) =>
	testQueue(validated(TestQueueRequest, await jsonBody(request)), gone)
);
