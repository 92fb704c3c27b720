import { ExchangeInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { exchangeCell } from '$lib/server/stages/serve/exchange-cell';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = endpoint(
	async ({ params, request }) => ({
		placement: await exchangeCell(idOf(params.id!, 'bank'), validated(ExchangeInput, await jsonBody(request)))
	}),
	201
);
