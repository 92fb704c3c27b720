import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { bankOverview } from '$lib/server/home/overview';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, depends }) => {
	depends('bank:overview');
	return loaded(bankOverview(idOf(params.id, 'bank')).then((overview) => ({ overview, stops: overview.stops })));
};
