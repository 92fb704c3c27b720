import { SocBoundsInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { chargeBounds } from '$lib/server/stages/receive/computed';

export const POST = endpoint(async ({ request }) => chargeBounds(validated(SocBoundsInput, await jsonBody(request))));
