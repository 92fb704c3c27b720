import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { receivePage } from '$lib/server/services/stage-page-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => receivePage(idOf(params.id, 'bank')))());
