import { loaded } from '$lib/server/http/load';
import { homeOverview } from '$lib/server/home/overview';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
	depends('bank:overview');
	return { home: await loaded(homeOverview(url.searchParams)) };
};
