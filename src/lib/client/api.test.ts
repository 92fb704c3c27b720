import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, api } from './api';
import { saveBank } from './save-bank';

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
		expect(await api.post('banks', { name: 'x' })).toEqual({ id: 7 });
		expect(calls[0]).toMatchObject({ url: '/api/v1/banks', init: { method: 'POST', body: '{"name":"x"}' } });
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
		const problem = await refusal(api.post('banks', {}));
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
});

describe('saving a bank', () => {
	it('sends a new cell type along in the same request', async () => {
		answerWith(reply(201, { id: 9 }));
		const type = { id: null, version: null, fields: { name: 'T' } };
		expect(await saveBank(null, { name: 'B', cellTypeId: null }, type)).toEqual({ id: 9 });
		expect(calls.map((c) => c.url)).toEqual(['/api/v1/banks']);
		expect(JSON.parse(calls[0]!.init.body as string)).toEqual({
			name: 'B',
			cellTypeId: null,
			cellType: { name: 'T' }
		});
	});
	it('leaves an untouched cell type alone and sends the version of the bank', async () => {
		answerWith(reply(200, { id: 9 }));
		await saveBank({ id: 9, version: 4 }, { name: 'B', cellTypeId: 2 }, null);
		expect(calls[0]!.url).toBe('/api/v1/banks/9');
		expect(JSON.parse(calls[0]!.init.body as string)).toEqual({ name: 'B', cellTypeId: 2, version: 4 });
	});
	it('sends a changed cell type with the version it was read in', async () => {
		answerWith(reply(200, { id: 9 }));
		await saveBank({ id: 9, version: 4 }, { name: 'B' }, { id: 3, version: 2, fields: { ratedAh: 100 } });
		expect(JSON.parse(calls[0]!.init.body as string)).toEqual({
			name: 'B',
			version: 4,
			cellType: { id: 3, version: 2, ratedAh: 100 }
		});
	});
});
