import { PickCellsInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { pickCells } from '$lib/server/stock/stock';

/** Picks cells of the stock for a bank: they become its candidates. */
export const POST = endpoint(
	async ({ params, request }) => ({
		items: await pickCells(idOf(params.id!, 'bank'), validated(PickCellsInput, await jsonBody(request)))
	}),
	201
);
