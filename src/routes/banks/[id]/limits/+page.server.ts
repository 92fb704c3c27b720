import { idOf } from '$lib/server/http/endpoint';
import { limitsState } from '$lib/server/services/limits-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({ limits: await limitsState(idOf(params.id, 'bank')) });
