import { endpoint, idOf } from '$lib/server/http/endpoint';
import { exportBank } from '$lib/server/services/export-service';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => {
	const id = idOf(params.id!, 'bank');
	const file = await exportBank(id);
	return new Response(JSON.stringify(file), {
		headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="bank-${id}.json"` }
	});
});
