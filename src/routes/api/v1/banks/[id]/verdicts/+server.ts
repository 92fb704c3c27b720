import { endpoint, idOf } from '$lib/server/http/endpoint';
import { stageOf } from '$lib/server/http/query';
import { shownVerdicts } from '$lib/server/judgements/store';

/**
 * What a bank is judged to need: the verdicts Home, the rail and the pages show. `?stage=` gives those of one stage; `beingJudged`: they
 * are of before, and being worked out anew.
 */
export const GET = endpoint(async ({ params, url }) =>
	shownVerdicts(idOf(params.id!, 'bank'), stageOf(url.searchParams))
);
