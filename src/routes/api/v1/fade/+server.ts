import { projectFade } from '$lib/core/service';
import { FadeRequest } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';

export const POST = endpoint(async ({ request }) => projectFade(validated(FadeRequest, await jsonBody(request))));
