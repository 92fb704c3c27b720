import { endpoint, idOf } from '$lib/server/http/endpoint';
import { stageOf } from '$lib/server/http/query';
import { bankVerdicts } from '$lib/server/judgements/store';

/** What a bank is judged to need: the verdicts Home, the rail and the pages show. `?stage=` gives those of one stage. */
export const GET = endpoint(async ({ params, url }) => ({
	items: await bankVerdicts(idOf(params.id!, 'bank'), stageOf(url.searchParams))
}));
