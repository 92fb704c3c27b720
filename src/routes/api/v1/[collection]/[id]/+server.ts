import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { versionOf } from '$lib/server/http/query';
import { changeIn, readIn, removeFrom } from '$lib/server/collections/collections';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => readIn(params.collection!, idOf(params.id!)));
export const PATCH: RequestHandler = endpoint(async ({ params, request }) =>
	changeIn(params.collection!, idOf(params.id!), await jsonBody(request))
);
/** Soft delete; `?version=` as it was read. */
export const DELETE: RequestHandler = endpoint(async ({ params, url }) => {
	await removeFrom(params.collection!, idOf(params.id!), versionOf(url.searchParams));
	return new Response(null, { status: 204 });
});
