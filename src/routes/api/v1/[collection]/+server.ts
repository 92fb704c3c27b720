import { endpoint, jsonBody, written } from '$lib/server/http/endpoint';
import { createIn, listIn } from '$lib/server/collections/collections';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params, url }) => listIn(params.collection!, url.searchParams));
/** A new record; sent again with the same `clientKey` it answers 200 with the first one. */
export const POST: RequestHandler = endpoint(async ({ params, request }) =>
	written(await createIn(params.collection!, await jsonBody(request)))
);
