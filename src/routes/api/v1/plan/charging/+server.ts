import { ChargingRequest } from '$lib/input/planning';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { PLANNING } from '$lib/server/stages/plan/computed';

export const POST = endpoint(async ({ request }) =>
	PLANNING.charging(validated(ChargingRequest, await jsonBody(request)))
);
