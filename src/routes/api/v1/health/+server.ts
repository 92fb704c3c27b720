import { endpoint } from '$lib/server/http/endpoint';
import { health } from '$lib/server/http/health';
import { version } from '../../../../../package.json';

export const GET = endpoint(async () => {
	const { well, ...body } = await health();
	return new Response(JSON.stringify({ ...body, version }), {
		status: well ? 200 : 503,
		headers: { 'content-type': 'application/json' }
	});
});
