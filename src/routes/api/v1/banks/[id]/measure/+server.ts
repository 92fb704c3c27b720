import { MeasureInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody, written } from '$lib/server/http/endpoint';
import { measureCell } from '$lib/server/measuring/cell-reading';

export const POST = endpoint(async ({ params, request }) =>
	written(await measureCell(idOf(params.id!, 'bank'), validated(MeasureInput, await jsonBody(request))))
);
