import { idOf } from '$lib/server/http/endpoint';
import { bankCapacities } from '$lib/server/services/run-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => bankCapacities(idOf(params.id, 'bank'));
