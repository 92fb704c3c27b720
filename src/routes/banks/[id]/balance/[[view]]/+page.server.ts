import { idOf } from '$lib/server/http/endpoint';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { balancePage } from '$lib/server/stages/balance/page';
import type { PageServerLoad } from './$types';

/** Cells chosen for a row that is only looked at so far. */
const chosenCells = (url: URL): number[] =>
	url.searchParams.getAll('cell').flatMap((text) => (/^\d{1,10}$/.test(text) ? [Number(text)] : []));

const VIEWS = ['charge', 'method', 'steps', 'join', 'bars', 'links', 'vessels'] as const;

export const load: PageServerLoad = async ({ params, url, cookies }) => ({
	...(await loaded((async () => balancePage(idOf(params.id, 'bank'), chosenCells(url)))())),
	view: viewAsked(params.view, VIEWS, 'balance', cookies)
});
