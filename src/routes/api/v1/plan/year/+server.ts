import { YearRequest } from '$lib/input/planning';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { yearOnThread } from '$lib/server/threads/year';

export const POST = endpoint(async ({ request }, gone) =>
	yearOnThread(validated(YearRequest, await jsonBody(request)), gone)
);
