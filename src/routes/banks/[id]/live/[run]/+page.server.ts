import { error } from '@sveltejs/kit';
import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { livePage } from '$lib/server/live/live-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const live = await loaded((async () => livePage(idOf(params.run, 'live run')))());
	if (live.run.bankId !== Number(params.id))
		error(404, { message: 'That live run is of another bank.', code: 'not-found' });
	return { live };
};
