import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { OpenApi } from '../support/fuzz';
import { expect, test } from '../support/e2e';

const ROUTES = 'src/routes/api/v1';
const METHODS = ['GET', 'POST', 'PATCH', 'PUT', 'DELETE'];

/** Every route of the API with its methods, as the description would name it. */
function routes(): { path: string; methods: string[] }[] {
	return readdirSync(ROUTES, { recursive: true, encoding: 'utf8' })
		.filter((file) => file.endsWith('+server.ts'))
		.map((file) => {
			const source = readFileSync(join(ROUTES, file), 'utf8');
			const path = file.replace(/\/?\+server\.ts$/, '').replace(/\[(\w+)\]/g, '{$1}');
			return {
				path: `/api/v1${path ? `/${path}` : ''}`,
				methods: METHODS.filter((m) => new RegExp(`export const ${m}\\b`).test(source))
			};
		});
}

test('every route is described, and nothing else is', async ({ request }) => {
	const api = (await (await request.get('/api/v1/openapi.json')).json()) as OpenApi;
	const described = Object.entries(api.paths).flatMap(([path, item]) =>
		METHODS.filter((m) => m.toLowerCase() in item).map((m) => `${m} ${path}`)
	);
	const own = routes();
	const general = own.filter((r) => r.path.includes('{collection}'));
	for (const { path, methods } of own.filter((r) => !general.includes(r)))
		for (const method of methods) expect(described, `${method} ${path}`).toContain(`${method} ${path}`);
	const known = new Set(own.flatMap(({ path, methods }) => methods.map((m) => `${m} ${path}`)));
	for (const line of described) {
		const byKind = line.replace(/(\/api\/v1\/)[a-z-]+/, '$1{collection}');
		expect(known.has(line) || known.has(byKind), line).toBe(true);
	}
});

test('answers are of the shape the description gives', async ({ request }) => {
	const api = (await (await request.get('/api/v1/openapi.json')).json()) as OpenApi;
	const ajv = new Ajv({ strict: false, allErrors: true });
	addFormats(ajv);
	ajv.addSchema({ ...api, $id: 'api' } as object);
	const validate = (path: string, method: string, status: number, body: unknown) => {
		const pointer = ['paths', path, method, 'responses', String(status), 'content', 'application/json', 'schema']
			.map((part) => encodeURIComponent(part.replaceAll('~', '~0').replaceAll('/', '~1')))
			.join('/');
		const check = ajv.compile({ $ref: `api#/${pointer}` });
		expect(check(body) ? [] : check.errors, `${method} ${path} ${status}`).toEqual([]);
	};
	const data = { name: 'Contract', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 };
	const made = await request.post('/api/v1/banks', { data });
	const bank = (await made.json()) as { id: number; version: number };
	validate('/api/v1/banks', 'post', made.status(), bank);
	for (const path of Object.keys(api.paths).filter((p) => /^\/api\/v1\/[a-z-]+$/.test(p) && api.paths[p]!.get)) {
		const response = await request.get(path);
		expect(response.status(), path).toBe(200);
		if (response.headers()['content-type']?.startsWith('application/json'))
			validate(path, 'get', 200, await response.json());
	}
	const verdicts = await (await request.get(`/api/v1/banks/${bank.id}/verdicts`)).json();
	validate('/api/v1/banks/{id}/verdicts', 'get', 200, verdicts);
	expect((verdicts as { items: { code: string }[] }).items.map((v) => v.code)).toContain('no-cell-type');
	const plan = await (await request.get(`/api/v1/banks/${bank.id}/verdicts?stage=plan`)).json();
	expect(new Set((plan as { items: { stage: string }[] }).items.map((v) => v.stage))).toEqual(new Set(['plan']));
	expect((await request.get(`/api/v1/banks/${bank.id}/verdicts?stage=lunch`)).status()).toBe(422);
	const key = { cellId: 0, text: 'x', clientKey: `c-${bank.id}` };
	const delivery = await (
		await request.post('/api/v1/deliveries', {
			data: { bankId: bank.id, name: 'C', receivedOn: '2026-01-01', cellCount: 1 }
		})
	).json();
	const { items } = await (await request.get(`/api/v1/cells?deliveryId=${(delivery as { id: number }).id}`)).json();
	const note = { ...key, cellId: (items as { id: number }[])[0]!.id };
	const [first, again] = [
		await request.post('/api/v1/notes', { data: note }),
		await request.post('/api/v1/notes', { data: note })
	];
	expect([first.status(), again.status()]).toEqual([201, 200]);
	expect(await again.json()).toEqual(await first.json());
	expect((await request.post('/api/v1/notes', { data: { ...note, text: 'y' } })).status()).toBe(409);
});
