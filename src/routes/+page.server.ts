import { allOverviews } from '$lib/server/services/overview-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('bank:overview');
	return { overviews: await allOverviews() };
};
