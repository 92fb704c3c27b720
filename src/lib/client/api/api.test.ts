import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, api } from './api';

const calls: { url: string; init: RequestInit }[] = [];
function answerWith(...answers: (Response | Error)[]): void {
	calls.length = 0;
	vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
		calls.push({ url, init });
		const next = answers.shift()!;
		if (next instanceof Error) throw next;
		return next;
	});
}
const reply = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
const refusal = (work: Promise<unknown>) =>
	work.then(
		() => null,
		(e: unknown) => e as ApiProblem
	);

afterEach(() => vi.unstubAllGlobals());

describe('the API as pages use it', () => {
	it('sends JSON and gives back what came', async () => {
		answerWith(reply(201, { id: 7 }));
		expect(await api.post('notes', { cellId: 1, text: 'x' })).toEqual({ id: 7 });
		expect(calls[0]).toMatchObject({ url: '/api/v1/notes', init: { method: 'POST', body: '{"cellId":1,"text":"x"}' } });
	});
	it('carries the version of what is removed', async () => {
		answerWith(new Response(null, { status: 204 }));
		expect(await api.remove('readings/3', 2)).toBeNull();
		expect(calls[0]).toMatchObject({ url: '/api/v1/readings/3?version=2', init: { method: 'DELETE' } });
	});
	it('gives the message of each bad field', async () => {
		answerWith(
			reply(422, { detail: 'Not accepted', code: 'invalid-input', errors: [{ path: 'a.b', message: 'requires 1' }] })
		);
		const problem = await refusal(api.post('notes', { cellId: 1, text: '' }));
		expect(problem).toBeInstanceOf(ApiProblem);
		expect(problem).toMatchObject({ status: 422, code: 'invalid-input', fields: { 'a.b': 'requires 1' } });
	});
	it('says that nothing is lost when the server is away', async () => {
		answerWith(new TypeError('failed to fetch'));
		expect(await refusal(api.get('banks'))).toMatchObject({ status: 0, code: 'unreachable' });
	});
	it('makes do with an answer that is no problem document', async () => {
		answerWith(new Response('<html>', { status: 502 }));
		expect(await refusal(api.get('banks'))).toMatchObject({ status: 502, message: 'The server answered 502.' });
	});
	it('asks only for what is told in a query', async () => {
		answerWith(reply(200, { items: [] }));
		await api.get('acknowledgements', { bankId: 3, stage: undefined, size: 500 });
		expect(calls[0]!.url).toBe('/api/v1/acknowledgements?bankId=3&size=500');
	});
});
