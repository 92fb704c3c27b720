import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { balancePage } from '$lib/server/services/stage-page-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => balancePage(idOf(params.id, 'bank')))());
