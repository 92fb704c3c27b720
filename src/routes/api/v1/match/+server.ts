import { MatchInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { matchOnThread } from '$lib/server/threads/match';

export const POST = endpoint(async ({ request }, gone) =>
	matchOnThread(validated(MatchInput, await jsonBody(request)), gone)
);
