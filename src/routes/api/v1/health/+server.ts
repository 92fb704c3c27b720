import { database } from '$lib/server/db/connection';
import { endpoint } from '$lib/server/http/endpoint';
import { version } from '../../../../../package.json';

export const GET = endpoint(async () => {
	const reached = await database()
		.raw('select 1')
		.then(
			() => true,
			() => false
		);
	const body = { status: reached ? 'ok' : 'degraded', database: reached ? 'ok' : 'unreachable', version };
	return new Response(JSON.stringify(body), {
		status: reached ? 200 : 503,
		headers: { 'content-type': 'application/json' }
	});
});
