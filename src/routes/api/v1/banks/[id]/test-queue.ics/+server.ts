import { endpoint, idOf } from '$lib/server/http/endpoint';
import { queueCalendar } from '$lib/server/stages/test/queue';

export const GET = endpoint(
	async ({ params, url }, gone) =>
		new Response(await queueCalendar(idOf(params.id!, 'bank'), url.searchParams, gone), {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'content-disposition': 'attachment; filename="test-queue.ics"'
			}
		})
);
