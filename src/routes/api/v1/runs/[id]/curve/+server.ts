import { endpoint, idOf } from '$lib/server/http/endpoint';
import { runCurve } from '$lib/server/stages/test/runs';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = endpoint(async ({ params }) => runCurve(idOf(params.id!, 'capacity run')));
