import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { openStops } from '$lib/server/services/open-stops-service';
import { bankOverview } from '$lib/server/services/overview-service';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, depends }) => {
	depends('bank:overview');
	return loaded(
		(async () => {
			const id = idOf(params.id, 'bank');
			const [overview, stops] = await Promise.all([bankOverview(id), openStops(id)]);
			return { overview, stops };
		})()
	);
};
