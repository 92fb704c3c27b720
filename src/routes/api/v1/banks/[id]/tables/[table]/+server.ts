import { endpoint, idOf } from '$lib/server/http/endpoint';
import { exportTable } from '$lib/server/exchange/export';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => {
	const id = idOf(params.id!, 'bank');
	const table = params.table!.replace(/\.csv$/, '');
	const csv = await exportTable(id, table);
	return new Response(csv, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="bank-${id}-${table}.csv"`
		}
	});
});
