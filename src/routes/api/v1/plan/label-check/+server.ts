import { LabelRequest } from '$lib/input/planning';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { checkLabel } from '$lib/server/stages/plan/computed';

export const POST = endpoint(async ({ request }) => checkLabel(validated(LabelRequest, await jsonBody(request))));
