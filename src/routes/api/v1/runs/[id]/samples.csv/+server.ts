import { endpoint, idOf } from '$lib/server/http/endpoint';
import { runCsv } from '$lib/server/services/run-csv-service';

export const GET = endpoint(async ({ params }) => runCsv(idOf(params.id!, 'run')));
