import { endpoint, idOf } from '$lib/server/http/endpoint';
import { whereBankWasLeft } from '$lib/server/services/where-was-i-service';

/** How a bank stands for somebody who comes back to it. */
export const GET = endpoint(async ({ params }) => whereBankWasLeft(idOf(params.id!, 'bank')));
