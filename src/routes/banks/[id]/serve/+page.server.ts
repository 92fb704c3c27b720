import { idOf } from '$lib/server/http/endpoint';
import { instrumentChoices } from '$lib/server/services/instrument-service';
import { placedLabels } from '$lib/server/services/match-service';
import { serveState } from '$lib/server/services/serve-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const id = idOf(params.id, 'bank');
	const battery = Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1);
	const [serve, placements, instruments] = await Promise.all([
		serveState(id, battery),
		placedLabels(id, battery),
		instrumentChoices()
	]);
	return { serve, placements, battery, instruments };
};
