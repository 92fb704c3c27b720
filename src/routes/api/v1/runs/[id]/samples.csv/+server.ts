import { endpoint, idOf } from '$lib/server/http/endpoint';
import { runCsv } from '$lib/server/exchange/run-csv';

export const GET = endpoint(async ({ params }) => runCsv(idOf(params.id!, 'run')));
