import { endpoint } from '$lib/server/http/endpoint';
import { dueMoments } from '$lib/server/home/due';

export const GET = endpoint(async () => ({ due: await dueMoments() }));
