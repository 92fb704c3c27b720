import type { RequestEvent } from '@sveltejs/kit';
import { CoreError } from '$lib/core/foundation/errors';
import { refuseHostile } from '$lib/input/plain';
import { InputError, type FieldFault } from '$lib/input/validate';
import { passingTrouble } from '../db/away';
import { ServiceError } from '../errors';
import { log } from '../log';
import { bodyChunks } from './body-chunks';
import { BodyError } from './body-error';
import { OVERALL_MS } from './body-pace';
import { problemResponse } from './problem';
import { spooled, type Spooled } from './spool';

/** Why a request was not carried out, in words for a person. */
export interface Refusal {
	status: number;
	code: string;
	message: string;
	faults?: FieldFault[];
}

/** Any thrown thing as a refusal; what is not known is logged and not shown. */
export function refusalOf(error: unknown): Refusal {
	if (error instanceof InputError) {
		const message = 'Some fields were not accepted. Nothing was stored.';
		return { status: 422, code: error.code, message, faults: error.faults };
	}
	const trouble = passingTrouble(error);
	if (trouble) return { status: 503, ...trouble };
	if (error instanceof CoreError) {
		const { code, message, path } = error;
		return { status: 422, code, message, faults: [{ path, message }] };
	}
	if (error instanceof ServiceError || error instanceof BodyError) {
		const { status, code, message } = error;
		return { status, code, message };
	}
	log.error({ err: error }, 'unexpected error');
	return {
		status: 500,
		code: 'unexpected',
		message:
			'The request could not be carried out, and it is not known whether anything was stored: look before you send it again. If it stays, look at the log where the application was started.'
	};
}

export function problemOf(error: unknown): Response {
	const { status, code, message, faults } = refusalOf(error);
	return problemResponse(status, code, message, faults);
}

const MEGABYTE = 1024 * 1024;
/** Largest JSON body, largest log or bank file of the first format, and largest bank file of a line a record, bytes. */
export const JSON_LIMIT = 2 * MEGABYTE;
export const FILE_LIMIT = 64 * MEGABYTE;
/** Largest photo or file that is attached, bytes. */
export const PHOTO_LIMIT = 24 * MEGABYTE;
export const LINES_LIMIT = 4096 * MEGABYTE;
async function readBytes(request: Request, limit: number, overallMs: number): Promise<Uint8Array<ArrayBuffer>> {
	const parts: Uint8Array[] = [];
	for await (const part of bodyChunks(request, limit, overallMs)) parts.push(part);
	return new Uint8Array(Buffer.concat(parts));
}

const contentType = (request: Request) => request.headers.get('content-type') ?? '';
const isJson = (request: Request) => /^application\/(.*\+)?json\b/.test(contentType(request));

/** The request's JSON body, of a shape somebody may have meant. */
export async function jsonBody(request: Request, limit = JSON_LIMIT): Promise<unknown> {
	if (!isJson(request)) throw new BodyError(415, 'content-type', 'Send JSON with content-type application/json.');
	const text = new TextDecoder().decode(await readBytes(request, limit, OVERALL_MS.record));
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch {
		throw new BodyError(400, 'not-json', 'The body is not JSON. Check quotes and commas.');
	}
	refuseHostile(value);
	return value;
}

/** A photo or file, with what it calls itself. */
export async function fileBody(request: Request, limit: number): Promise<{ mime: string; content: Buffer }> {
	const mime = contentType(request).split(';')[0]!.trim().toLowerCase();
	if (mime === '')
		throw new BodyError(415, 'content-type', 'Send a photo or file with its content-type, e.g. image/jpeg.');
	return { mime, content: Buffer.from(await readBytes(request, limit, OVERALL_MS.file)) };
}

/** The request's body of text (a CSV log), as its bytes. */
export async function textBody(request: Request): Promise<Uint8Array<ArrayBuffer>> {
	if (!/^text\/(csv|plain|tab-separated-values)\b/.test(contentType(request)))
		throw new BodyError(415, 'content-type', 'Send the log with content-type text/csv.');
	return readBytes(request, FILE_LIMIT, OVERALL_MS.file);
}

/** A bank's file: in memory when it is one JSON object, on the disk when it is a line a record. Nothing is begun before all of it is here. */
export async function bankFileBody(request: Request): Promise<{ whole: Uint8Array<ArrayBuffer> } | { file: Spooled }> {
	if (/^(application\/x-ndjson|application\/jsonl|text\/plain)\b/.test(contentType(request)))
		return { file: await spooled(bodyChunks(request, LINES_LIMIT, OVERALL_MS.bankFile)) };
	if (!isJson(request))
		throw new BodyError(
			415,
			'content-type',
			'Send a bank’s file with content-type application/x-ndjson (a line a record) or application/json (the first format).'
		);
	return { whole: await readBytes(request, FILE_LIMIT, OVERALL_MS.bankFile) };
}

/** A whole-number path parameter. @throws ServiceError 404 */
export function idOf(text: string, what = 'record'): number {
	const id = /^\d{1,10}$/.test(text) ? Number(text) : 0;
	if (id < 1) throw new ServiceError(404, 'not-found', `There is no ${what} ${text.slice(0, 40)}.`);
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

/** A body of which much may still be on its way. */
const isLong = (request: Request) => {
	const length = request.headers.get('content-length');
	return request.body !== null && (length === null || Number(length) > MEGABYTE);
};

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
			const problem = problemOf(error);
			// The rest of a long body is not waited for.
			if (isLong(event.request)) problem.headers.set('connection', 'close');
			return problem;
		} finally {
			caller.release();
		}
	};
}

/** The answer to a write that may have been sent before: 201 the first time, 200 after that, the same record. */
export const written = ({ record, isNew }: { record: unknown; isNew: boolean }): Response =>
	new Response(JSON.stringify(record), {
		status: isNew ? 201 : 200,
		headers: { 'content-type': 'application/json' }
	});
