import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { createRecord, listRecords, recordKind } from '$lib/server/services/record-kinds';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params, url }) =>
	listRecords(recordKind(params.collection!), url.searchParams)
);
export const POST: RequestHandler = endpoint(
	async ({ params, request }) => createRecord(recordKind(params.collection!), await jsonBody(request)),
	201
);
