import { idOf } from '$lib/server/http/endpoint';
import { currentPlacements, matchCandidates } from '$lib/server/services/match-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const id = idOf(params.id, 'bank');
	const [candidates, placements] = await Promise.all([matchCandidates(id), currentPlacements(id)]);
	return { ...candidates, placements };
};
