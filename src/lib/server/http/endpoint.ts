import type { RequestEvent } from '@sveltejs/kit';
import { CoreError } from '$lib/core/shared';
import { InputError, type FieldFault } from '$lib/input/validate';
import { ServiceError } from '../errors';
import { log } from '../log';

/** RFC 9457 problem details, with the path of each bad field. */
export interface Problem {
	type: string;
	title: string;
	status: number;
	detail: string;
	code: string;
	errors?: FieldFault[];
}

const TITLES: Record<number, string> = {
	400: 'Bad request',
	404: 'Not found',
	409: 'In conflict',
	413: 'Too large',
	415: 'Wrong kind of content',
	422: 'Input not accepted',
	500: 'Something went wrong here'
};

export function problemResponse(status: number, code: string, detail: string, errors?: FieldFault[]): Response {
	const problem: Problem = {
		type: 'about:blank',
		title: code === 'stale' ? 'Changed elsewhere' : (TITLES[status] ?? 'Error'),
		status,
		detail,
		code,
		...(errors ? { errors } : {})
	};
	// The rest of a body that was refused unread must not be taken for the next request on this connection.
	const close: Record<string, string> = status === 413 ? { connection: 'close' } : {};
	return new Response(JSON.stringify(problem), {
		status,
		headers: { 'content-type': 'application/problem+json', ...close }
	});
}

/** Any thrown thing as a problem; what is not known is logged and not shown. */
export function problemOf(error: unknown): Response {
	if (error instanceof InputError)
		return problemResponse(422, error.code, 'Some fields were not accepted. Nothing was stored.', error.faults);
	if (error instanceof CoreError)
		return problemResponse(422, error.code, error.message, [{ path: error.path, message: error.message }]);
	if (error instanceof ServiceError) return problemResponse(error.status, error.code, error.message);
	if (error instanceof BodyError) return problemResponse(error.status, error.code, error.message);
	log.error({ err: error }, 'unexpected error');
	return problemResponse(
		500,
		'unexpected',
		'The request could not be carried out. Nothing was stored. Try again; if it stays, look at the log where the application was started.'
	);
}

class BodyError extends Error {
	constructor(
		readonly status: 400 | 413 | 415,
		readonly code: string,
		message: string
	) {
		super(message);
	}
}

const MEGABYTE = 1024 * 1024;
/** Largest JSON body, and largest log or bank file, bytes. */
export const JSON_LIMIT = 2 * MEGABYTE;
export const FILE_LIMIT = 64 * MEGABYTE;

async function readText(request: Request, limit: number): Promise<string> {
	const tooLarge = () =>
		new BodyError(413, 'too-large', `The body may hold at most ${(limit / MEGABYTE).toFixed(0)} MB. Send it in parts.`);
	if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
	const parts: Uint8Array[] = [];
	let size = 0;
	const reader = request.body?.getReader();
	while (reader) {
		const { done, value } = await reader.read();
		if (done) break;
		size += value.byteLength;
		if (size > limit) {
			await reader.cancel();
			throw tooLarge();
		}
		parts.push(value);
	}
	return new TextDecoder().decode(Buffer.concat(parts));
}

/** The request's JSON body. */
export async function jsonBody(request: Request, limit = JSON_LIMIT): Promise<unknown> {
	if (!/^application\/(.*\+)?json\b/.test(request.headers.get('content-type') ?? ''))
		throw new BodyError(415, 'content-type', 'Send JSON with content-type application/json.');
	const text = await readText(request, limit);
	try {
		return JSON.parse(text);
	} catch {
		throw new BodyError(400, 'not-json', 'The body is not JSON. Check quotes and commas.');
	}
}

/** The request's text body (a CSV log). */
export async function textBody(request: Request): Promise<string> {
	if (!/^text\/(csv|plain|tab-separated-values)\b/.test(request.headers.get('content-type') ?? ''))
		throw new BodyError(415, 'content-type', 'Send the log with content-type text/csv.');
	return readText(request, FILE_LIMIT);
}

/** A whole-number path parameter. @throws ServiceError 404 */
export function idOf(text: string, what = 'record'): number {
	const id = Number(text);
	if (!Number.isInteger(id) || id < 1) throw new ServiceError(404, 'not-found', `There is no ${what} ${text}.`);
	return id;
}

/**
 * A signal that fires when the caller has hung up. The request's own signal fires only while its body is still being read,
 * so the line itself is watched. @returns the signal, and how to let go of the line
 */
function watchCaller(event: RequestEvent): { gone: AbortSignal; release(): void } {
	const socket = event.platform?.req?.socket;
	if (!socket) return { gone: event.request.signal, release: () => undefined };
	const controller = new AbortController();
	const hungUp = () => controller.abort();
	socket.once('close', hungUp);
	return { gone: controller.signal, release: () => void socket.off('close', hungUp) };
}

/**
 * Wraps an API handler: what it returns becomes JSON (a Response is passed on), what it throws a problem. Long work may
 * watch `gone`, which fires when nobody waits for the answer any more.
 */
export function endpoint<E extends RequestEvent>(
	handler: (event: E, gone: AbortSignal) => Promise<unknown>,
	status = 200
): (event: E) => Promise<Response> {
	return async (event) => {
		const caller = watchCaller(event);
		try {
			const result = await handler(event, caller.gone);
			if (result instanceof Response) return result;
			return new Response(JSON.stringify(result), { status, headers: { 'content-type': 'application/json' } });
		} catch (error) {
			return problemOf(error);
		} finally {
			caller.release();
		}
	};
}
