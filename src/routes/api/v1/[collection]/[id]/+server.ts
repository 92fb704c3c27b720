import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { ServiceError } from '$lib/server/errors';
import { changeRecord, recordKind, removeRecord } from '$lib/server/services/record-kinds';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) =>
	recordKind(params.collection!).repository.get(idOf(params.id!))
);
export const PATCH: RequestHandler = endpoint(async ({ params, request }) =>
	changeRecord(recordKind(params.collection!), idOf(params.id!), await jsonBody(request))
);

/** Soft delete; `?version=` as it was read. */
export const DELETE: RequestHandler = endpoint(async ({ params, url }) => {
	const version = Number(url.searchParams.get('version'));
	if (!Number.isInteger(version) || version < 1)
		throw new ServiceError(422, 'version', 'version is required in the query: the version of the record you read.');
	await removeRecord(recordKind(params.collection!), idOf(params.id!), version);
	return new Response(null, { status: 204 });
});
