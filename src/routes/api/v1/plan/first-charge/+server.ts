import { FirstChargeRequest } from '$lib/input/planning';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { PLANNING } from '$lib/server/services/planning-service';

export const POST = endpoint(async ({ request }) =>
	PLANNING.firstCharge(validated(FirstChargeRequest, await jsonBody(request)))
);
