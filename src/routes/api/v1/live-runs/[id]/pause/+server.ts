import { endpoint, idOf } from '$lib/server/http/endpoint';
import { pauseLiveRun } from '$lib/server/live/live-service';

export const POST = endpoint(async ({ params }) => pauseLiveRun(idOf(params.id!, 'live run')));
