import { SimulationRequest } from '$lib/input/simulation';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { simulateOnThread } from '$lib/server/threads/simulation';

export const POST = endpoint(async ({ request }, gone) =>
	simulateOnThread(validated(SimulationRequest, await jsonBody(request)), gone)
);
