import { WitnessesRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { witnessesOf } from '$lib/server/stages/test/computed';

export const POST = endpoint(async ({ request }) => witnessesOf(validated(WitnessesRequest, await jsonBody(request))));
