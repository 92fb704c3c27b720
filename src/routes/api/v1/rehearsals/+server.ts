import { RehearsalInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { rehearsalChoices, startRehearsal } from '$lib/server/rehearsals/rehearsal';

export const GET = endpoint(async () => rehearsalChoices());

export const POST = endpoint(
	async ({ request }) => startRehearsal(validated(RehearsalInput, await jsonBody(request))),
	201
);
