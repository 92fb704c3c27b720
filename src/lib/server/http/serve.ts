import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { GOING } from './going';
import { hostRefusal, SECURITY_HEADERS, allowedHosts, isAllowedHost } from './guard';
import { hasBody, openBodies } from './open-bodies';
import { problemResponse } from './problem';

/** The built application as the adapter gives it. */
type Handler = (request: IncomingMessage, response: ServerResponse, next: () => void) => void;

/** A request's head must have come by then, and a line that says nothing is closed, ms. */
const HEAD_MS = 15_000;
const IDLE_MS = 5_000;
/** Requests under way when the application is told to go have so long to end, ms. */
const GOING_MS = Number(process.env.SHUTDOWN_TIMEOUT ?? 5) * 1000;

// What lives takes about 40 MB; by itself the heap is let grow to five times that before anything is thrown away, on machines that are small.
setFlagsFromString('--heap-growing-percent=50');

const hosts = allowedHosts();
const bodies = openBodies();
bodies.lookAgainAndAgain();

async function refuse(response: ServerResponse, refusal: Response): Promise<void> {
	response.writeHead(refusal.status, Object.fromEntries(refusal.headers));
	response.end(await refusal.text());
}

const file = resolve(process.env.KIND_EMBER_BUILD ?? 'build', 'handler.js');
const { handler } = (await import(/* @vite-ignore */ pathToFileURL(file).href)) as { handler: Handler };

/** Serves the built application; whatever answers, static files too, is asked for by a known host name and carries the headers. */
const server = createServer((request, response) => {
	for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(name, value);
	const host = request.headers.host ?? '';
	if (!isAllowedHost(host, hosts)) return void refuse(response, hostRefusal(host));
	if (hasBody(request)) bodies.follow(request);
	handler(request, response, () => {
		void refuse(response, problemResponse(404, 'not-found', 'There is nothing at this address.'));
	});
});
server.headersTimeout = HEAD_MS;
// Bodies are watched by how fast they come: a bank's file may take its time.
server.requestTimeout = 0;
server.keepAliveTimeout = IDLE_MS;
server.listen(Number(process.env.PORT ?? 3000), process.env.HOST ?? '127.0.0.1');

let going = false;

function go(): void {
	if (going) return;
	going = true;
	// Live runs store what they have read before the application goes.
	const waits: Promise<unknown>[] = [];
	process.emit(GOING as never, ((work: Promise<unknown>) => void waits.push(work)) as never);
	server.close(() => void Promise.allSettled(waits).then(() => process.exit(0)));
	server.closeIdleConnections();
	setTimeout(() => {
		server.closeAllConnections();
		process.exit(0);
	}, GOING_MS).unref();
}
process.on('SIGTERM', go);
process.on('SIGINT', go);
