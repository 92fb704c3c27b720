import { endpoint, idOf } from '$lib/server/http/endpoint';
import { rehearsalState } from '$lib/server/rehearsals/rehearsal';

export const GET = endpoint(async ({ params }) => rehearsalState(idOf(params.id!, 'bank')));
