import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { cellPassport } from '$lib/server/services/passport-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => cellPassport(idOf(params.id, 'cell')))());
