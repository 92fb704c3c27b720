import { LayoutsRequest } from '$lib/input/planning';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { PLANNING } from '$lib/server/services/planning-service';

export const POST = endpoint(async ({ request }) =>
	PLANNING.layouts(validated(LayoutsRequest, await jsonBody(request)))
);
