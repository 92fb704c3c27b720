import { CapacityJudgementRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { judgedResults } from '$lib/server/stages/test/computed';

export const POST = endpoint(async ({ request }) =>
	judgedResults(validated(CapacityJudgementRequest, await jsonBody(request)))
);
