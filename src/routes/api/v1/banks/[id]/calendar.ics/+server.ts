import { idOf, endpoint } from '$lib/server/http/endpoint';
import { bankCalendar } from '$lib/server/stages/plan/calendar';

export const GET = endpoint(
	async ({ params }) =>
		new Response(await bankCalendar(idOf(params.id!, 'bank')), {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'content-disposition': 'attachment; filename="calendar.ics"'
			}
		})
);
