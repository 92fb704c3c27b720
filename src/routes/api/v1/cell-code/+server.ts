import { CellCodeRequest } from '$lib/input/measuring';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { readCode } from '$lib/server/stages/receive/computed';

export const POST = endpoint(async ({ request }) => readCode(validated(CellCodeRequest, await jsonBody(request))));
