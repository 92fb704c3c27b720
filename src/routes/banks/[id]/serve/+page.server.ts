import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { servePage } from '$lib/server/services/stage-page-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const battery = Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1);
	return { ...(await loaded((async () => servePage(idOf(params.id, 'bank'), battery))())), battery };
};
