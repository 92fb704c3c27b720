import { endpoint, idOf } from '$lib/server/http/endpoint';
import { runCurve } from '$lib/server/services/run-service';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => runCurve(idOf(params.id!, 'capacity run')));
