import { FadeRequest } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { projectOnThread } from '$lib/server/threads/fade';

export const POST = endpoint(async ({ request }, gone) =>
	projectOnThread(validated(FadeRequest, await jsonBody(request)), gone)
);
