import { MatchGroupsInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { acceptMatch } from '$lib/server/stages/match/accept';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = endpoint(
	async ({ params, request }) => ({
		items: await acceptMatch(idOf(params.id!, 'bank'), validated(MatchGroupsInput, await jsonBody(request)))
	}),
	201
);
