import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { DEFAULT_SETTINGS } from '$lib/core/foundation/units';
import '$lib/server/set-up';
import { migrate } from '$lib/server/db/connection';
import { endStreams } from '$lib/server/http/event-stream';
import { readingOnce } from '$lib/server/db/read-once';
import { passingTrouble } from '$lib/server/db/away';
import { problemResponse } from '$lib/server/http/problem';
import { GOING } from '$lib/server/http/going';
import { SECURITY_HEADERS, allowedHosts, refusal } from '$lib/server/http/guard';
import { log } from '$lib/server/log';
import { pauseAll } from '$lib/server/live/live-runner';
import { resumeLiveRuns } from '$lib/server/live/live-service';
import { refreshBehind } from '$lib/server/judgements/behind';
import { readSettings } from '$lib/server/settings/settings';

const hosts = allowedHosts();
/** Says how the server is, well or not: no refusal. */
const HEALTH = '/api/v1/health';

export const init: ServerInit = async () => {
	if (!process.env.DATABASE_URL) return;
	await migrate();
	await resumeLiveRuns();
	refreshBehind();
	// What was read is stored before the application goes; the runs stay as they are and are gone on with.
	process.once(GOING, (wait: (work: Promise<unknown>) => void) => {
		endStreams();
		wait(pauseAll());
	});
};

function withHeaders(response: Response): Response {
	for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
	return response;
}

export const handle: Handle = async ({ event, resolve }) => {
	const refused = refusal(event.request, hosts);
	if (refused) return withHeaders(refused);
	const isPage = !event.url.pathname.startsWith('/api/');
	// A page can be drawn in the default style when the database is away; its own load says what is wrong.
	event.locals.settings = isPage ? await readSettings().catch(() => DEFAULT_SETTINGS) : DEFAULT_SETTINGS;
	const resolved = async () =>
		resolve(event, { transformPageChunk: ({ html }) => html.replace('%theme%', event.locals.settings.theme) });
	// Layout and page of one view are loaded side by side, and ask for much of the same.
	const response = await (isPage && event.request.method === 'GET' ? readingOnce(resolved) : resolved());
	const saysHow = event.route.id === HEALTH && response.status === 503;
	// Going back shows what is stored now, not the page as it was when it was left.
	if (response.headers.get('content-type')?.startsWith('text/html')) response.headers.set('cache-control', 'no-store');
	return withHeaders(isPage || saysHow ? response : asProblem(response, event.request));
};

/** What the framework itself refuses below /api (no such route, wrong method, a form from elsewhere) is a problem too. */
function asProblem(response: Response, request: Request): Response {
	if (response.status < 400 || response.headers.get('content-type') === 'application/problem+json') return response;
	return problemResponse(
		response.status,
		'refused',
		`${request.method} is not possible at this address. See /api/v1/openapi.json.`
	);
}

export const handleError: HandleServerError = ({ error, status }) => {
	if (status === 404) return { message: 'There is nothing at this address.', code: 'not-found' };
	const trouble = passingTrouble(error);
	if (trouble) return trouble;
	log.error({ err: error }, 'unexpected error');
	return { message: 'Something went wrong here. What you stored is safe; try again.', code: 'unexpected' };
};
