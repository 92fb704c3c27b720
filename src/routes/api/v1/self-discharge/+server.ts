import { SelfDischargeRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { selfDischarge } from '$lib/server/stages/receive/computed';

export const POST = endpoint(async ({ request }, gone) =>
	selfDischarge(validated(SelfDischargeRequest, await jsonBody(request)), gone)
);
