import { endpoint, idOf } from '$lib/server/http/endpoint';
import { whereBankWasLeft } from '$lib/server/home/where-was-i';

/** How a bank stands for somebody who comes back to it. */
export const GET = endpoint(async ({ params }) => whereBankWasLeft(idOf(params.id!, 'bank')));
