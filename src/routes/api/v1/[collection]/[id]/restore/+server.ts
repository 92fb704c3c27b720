import { endpoint, idOf } from '$lib/server/http/endpoint';
import { restoreIn } from '$lib/server/collections/collections';
import type { RequestHandler } from './$types';

/** Undoes a soft delete, where what must hold of the record still does. */
export const POST: RequestHandler = endpoint(async ({ params }) => restoreIn(params.collection!, idOf(params.id!)));
