import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { matchPage } from '$lib/server/stages/match/page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => matchPage(idOf(params.id, 'bank')))());
