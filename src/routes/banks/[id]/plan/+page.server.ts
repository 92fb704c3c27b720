import { idOf } from '$lib/server/http/endpoint';
import { listCellTypes } from '$lib/server/services/bank-service';
import { CSV_TABLES } from '$lib/server/services/export-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	cellTypes: await listCellTypes(idOf(params.id, 'bank')),
	tables: Object.keys(CSV_TABLES)
});
