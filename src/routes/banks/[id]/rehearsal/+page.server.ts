import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { rehearsalState } from '$lib/server/rehearsals/rehearsal';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	rehearsal: await loaded((async () => rehearsalState(idOf(params.id, 'bank')))())
});
