import { JointsRequest } from '$lib/input/assembly';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { judgeJointReadings } from '$lib/server/stages/build/leads-and-joints';

export const POST = endpoint(async ({ request }) =>
	judgeJointReadings(validated(JointsRequest, await jsonBody(request)))
);
