import { endpoint, idOf } from '$lib/server/http/endpoint';
import { bankFileStream } from '$lib/server/exchange/export';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => {
	const id = idOf(params.id!, 'bank');
	return new Response(await bankFileStream(id), {
		headers: {
			'content-type': 'application/x-ndjson; charset=utf-8',
			'content-disposition': `attachment; filename="bank-${id}.jsonl"`
		}
	});
});
