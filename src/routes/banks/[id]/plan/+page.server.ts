import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { CSV_TABLES } from '$lib/server/services/export-service';
import { planPage } from '$lib/server/services/stage-page-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	...(await loaded((async () => planPage(idOf(params.id, 'bank')))())),
	tables: CSV_TABLES
});
