import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { cellLabels } from '$lib/server/stages/receive/labels';
import type { PageServerLoad } from './$types';

/** Labels of a delivery's cells, each with a code that opens its passport. */
export const load: PageServerLoad = ({ params, url }) =>
	loaded(
		(async () => ({
			labels: await cellLabels(
				idOf(params.id, 'bank'),
				idOf(url.searchParams.get('delivery') ?? '', 'delivery'),
				url.origin
			)
		}))()
	);
