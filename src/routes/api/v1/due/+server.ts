import { endpoint } from '$lib/server/http/endpoint';
import { dueMoments } from '$lib/server/services/due-service';

export const GET = endpoint(async () => ({ due: await dueMoments() }));
