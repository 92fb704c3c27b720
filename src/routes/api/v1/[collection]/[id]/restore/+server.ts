import { endpoint, idOf } from '$lib/server/http/endpoint';
import { recordKind } from '$lib/server/services/record-kinds';
import type { RequestHandler } from './$types';

/** Undoes a soft delete. */
export const POST: RequestHandler = endpoint(async ({ params }) =>
	recordKind(params.collection!).repository.restore(idOf(params.id!))
);
