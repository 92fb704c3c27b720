import { endpoint, idOf } from '$lib/server/http/endpoint';
import { readLiveRun } from '$lib/server/live/live-service';

export const GET = endpoint(async ({ params }) => readLiveRun(idOf(params.id!, 'live run')));
