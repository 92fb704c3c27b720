import { endpoint, idOf } from '$lib/server/http/endpoint';
import { markSeen } from '$lib/server/live/live-service';

export const POST = endpoint(async ({ params }) => markSeen(idOf(params.id!, 'event')));
