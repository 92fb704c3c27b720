import { endpoint, idOf } from '$lib/server/http/endpoint';
import { stopLiveRun } from '$lib/server/live/live-service';

export const POST = endpoint(async ({ params }) => stopLiveRun(idOf(params.id!, 'live run')));
