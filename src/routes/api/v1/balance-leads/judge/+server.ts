import { BalanceLeadsRequest } from '$lib/input/assembly';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { judgeLeadReadings } from '$lib/server/stages/build/leads-and-joints';

export const POST = endpoint(async ({ request }, gone) =>
	judgeLeadReadings(validated(BalanceLeadsRequest, await jsonBody(request)), gone)
);
