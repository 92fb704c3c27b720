import { endpoint, idOf } from '$lib/server/http/endpoint';
import { readProbes } from '$lib/server/rehearsals/hands';

export const POST = endpoint(async ({ params }) => readProbes(idOf(params.id!, 'bank')));
