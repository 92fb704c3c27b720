import { JoinRequest } from '$lib/input/joining';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { joinCheck } from '$lib/server/stages/balance/computed';

export const POST = endpoint(async ({ request }) => joinCheck(validated(JoinRequest, await jsonBody(request))));
