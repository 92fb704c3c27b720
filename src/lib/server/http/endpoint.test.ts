import { EventEmitter } from 'node:events';
import type { RequestEvent } from '@sveltejs/kit';
import { describe, expect, it } from 'vitest';
import { CoreError } from '$lib/core/foundation/errors';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../errors';
import { endpoint, idOf, jsonBody, textBody } from './endpoint';
import type { Problem } from './problem';

const answer = async (work: () => Promise<unknown>, status?: number) => {
	const response = await endpoint(work, status)({ request: new Request('http://127.0.0.1/') } as RequestEvent);
	const text = await response.text();
	return { status: response.status, headers: response.headers, body: text ? (JSON.parse(text) as Problem) : null };
};
const post = (body: string | ReadableStream, headers: Record<string, string>) =>
	new Request('http://127.0.0.1/', { method: 'POST', body, headers, duplex: 'half' } as RequestInit);
const json = { 'content-type': 'application/json' };

describe('an endpoint', () => {
	it('answers JSON with its status and passes a response on', async () => {
		expect(await answer(async () => ({ a: 1 }), 201)).toMatchObject({ status: 201, body: { a: 1 } });
		expect((await answer(async () => new Response(null, { status: 204 }))).status).toBe(204);
	});
	it.each([
		[new InputError([{ path: 'a.0.b', message: 'requires x' }]), 422, 'invalid-input'],
		[new CoreError('too-few-cells', 'cells', 'cells requires 8, got 1'), 422, 'too-few-cells'],
		[new ServiceError(409, 'stale', 'changed elsewhere'), 409, 'stale'],
		[new ServiceError(404, 'not-found', 'There is no bank 7'), 404, 'not-found']
	])('turns %s into a problem', async (error, status, code) => {
		const { body, headers, status: got } = await answer(async () => Promise.reject(error));
		expect(got).toBe(status);
		expect(headers.get('content-type')).toBe('application/problem+json');
		expect(body).toMatchObject({ type: 'about:blank', status, code });
	});
	it('gives the path of each bad field', async () => {
		const faults = [
			{ path: 'cells.3.capacityAh', message: 'requires a number' },
			{ path: 'series', message: 'requires a whole number' }
		];
		expect((await answer(async () => Promise.reject(new InputError(faults)))).body!.errors).toEqual(faults);
	});
	it('keeps an unexpected error to itself', async () => {
		const secret = new Error('password is hunter2 at /srv/app.js:12');
		const { status, body } = await answer(async () => Promise.reject(secret));
		expect(status).toBe(500);
		expect(JSON.stringify(body)).not.toMatch(/hunter2|app\.js/);
	});
});

describe('a body', () => {
	it('is read as JSON, problem-free when it is', async () => {
		expect(await jsonBody(post('{"a": 1}', json))).toEqual({ a: 1 });
		expect(await jsonBody(post('{"a": 1}', { 'content-type': 'application/merge-patch+json; charset=utf-8' }))).toEqual(
			{
				a: 1
			}
		);
	});
	it.each([
		['{"a"', json, 400, 'not-json'],
		['{}', { 'content-type': 'text/html' }, 415, 'content-type']
	])('%j as %j is refused', async (body, headers, status, code) => {
		expect(await answer(() => jsonBody(post(body, headers)))).toMatchObject({ status, body: { code } });
	});
	it('is refused when too large, said or not', async () => {
		expect(await answer(() => jsonBody(post('x'.repeat(300), json), 100))).toMatchObject({ status: 413 });
		const endless = new ReadableStream({ pull: (controller) => controller.enqueue(new Uint8Array(64)) });
		const { status, headers } = await answer(() => jsonBody(post(endless, json), 1000));
		expect(status).toBe(413);
		expect(headers.get('connection')).toBe('close');
	});
	it('is a log as CSV or plain text and nothing else', async () => {
		expect(await textBody(post('a,b', { 'content-type': 'text/csv; charset=utf-8' }))).toEqual(
			new TextEncoder().encode('a,b')
		);
		expect((await answer(() => textBody(post('a,b', json)))).status).toBe(415);
	});
});

it.each(['0', '-1', '1.5', 'x', '', '1e99x'])('%j is not the id of anything', (text) => {
	expect(() => idOf(text, 'bank')).toThrow(/There is no bank/);
});

describe('a caller that hangs up', () => {
	const socket = new EventEmitter();
	const event = { request: new Request('http://127.0.0.1/'), platform: { req: { socket } } } as unknown as RequestEvent;
	it('is noticed while the work goes on', async () => {
		const seen = endpoint(
			(_, gone) => new Promise((done) => gone.addEventListener('abort', () => done({ ended: true })))
		)(event);
		socket.emit('close');
		expect(await (await seen).json()).toEqual({ ended: true });
	});
	it('is watched no longer than that: a line is used again and again', async () => {
		for (let n = 0; n < 30; n++) await endpoint(async () => ({ n }))(event);
		expect(socket.listenerCount('close')).toBe(0);
	});
});
