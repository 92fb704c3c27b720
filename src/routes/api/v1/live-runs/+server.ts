import { LiveRunInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { planLiveRun, valuesToConfirm } from '$lib/server/live/live-plan';
import { listLiveRuns } from '$lib/server/live/live-service';

export const GET = endpoint(async ({ url }) => listLiveRuns(url.searchParams));

export const POST = endpoint(async ({ request }) => {
	const run = await planLiveRun(validated(LiveRunInput, await jsonBody(request)));
	return { run, values: await valuesToConfirm(run) };
}, 201);
