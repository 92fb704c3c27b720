import { endpoint, idOf } from '$lib/server/http/endpoint';
import { tryInstrument } from '$lib/server/address-book/instruments';

export const POST = endpoint(async ({ params }) => tryInstrument(idOf(params.id!, 'instrument')));
