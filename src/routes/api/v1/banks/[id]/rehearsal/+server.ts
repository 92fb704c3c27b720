import { endpoint, idOf } from '$lib/server/http/endpoint';
import { rehearsalState } from '$lib/server/services/rehearsal-service';

export const GET = endpoint(async ({ params }) => rehearsalState(idOf(params.id!, 'bank')));
