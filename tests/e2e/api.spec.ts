import { expect, test } from '../support/e2e';
import { request as plainRequest } from 'node:http';

/** Status of a request with a Host header of our choosing. */
function statusWithHost(address: string, host: string, path = '/api/v1/health'): Promise<number> {
	return new Promise((done, failed) => {
		const { hostname, port } = new URL(address);
		plainRequest({ hostname, port, path, headers: { host } }, (response) => {
			response.resume();
			done(response.statusCode!);
		})
			.on('error', failed)
			.end();
	});
}

test('computes without a bank', async ({ request }) => {
	expect(await (await request.get('/api/v1/health')).json()).toEqual({
		status: 'ok',
		database: 'ok',
		version: expect.any(String)
	});
	const bounds = await (
		await request.post('/api/v1/soc-bounds', {
			data: { chemistry: 'LFP', restVoltageV: 3.331, meterSdV: 0.0025, restS: 86400 }
		})
	).json();
	expect(bounds).toMatchObject({ verdict: 'wide', lowFraction: expect.any(Number), highFraction: expect.any(Number) });
	const slipped = await request.post('/api/v1/soc-bounds', {
		data: { chemistry: 'LFP', restVoltageV: 33, meterSdV: 0.002, restS: 0 }
	});
	expect(slipped.status()).toBe(422);
	expect((await slipped.json()).errors[0]).toMatchObject({
		path: 'restVoltageV',
		message: expect.stringContaining('If 3.300 V was meant')
	});
	const tail = { chemistry: 'LFP', groupAh: 280, groupVoltagesV: [3.61, 3.345, 3.609, 3.612], currentA: 8.4 };
	const balanced = await (await request.post('/api/v1/is-balanced', { data: tail })).json();
	expect(balanced).toMatchObject({ answer: 'apart', verdict: { code: 'apart-top' } });
	expect(balanced.apartAh.low95).toBeLessThan(22.4);
	expect(balanced.apartAh.high95).toBeGreaterThan(22.4);
	const units = { ...tail, groupVoltagesV: [13.14, 13.16, 13.13, 13.14], currentA: 0, cellsPerReading: 4 };
	expect((await (await request.post('/api/v1/is-balanced', { data: units })).json()).answer).toBe('cannot-tell');
	expect((await request.post('/api/v1/is-balanced', { data: { ...tail, chemistry: null } })).status()).toBe(422);
	const log = 'time_s,voltage_V,current_A\n0,3.3,-10\n1800,3.2,-10\n3600,3.1,-10';
	const run = await (
		await request.post('/api/v1/capacity-run/analyse?ratedAh=100', {
			data: log,
			headers: { 'content-type': 'text/csv' }
		})
	).json();
	expect(run).toMatchObject({
		capacityAh: 10,
		energyWh: 32,
		meanVoltageV: 3.2,
		currentA: -10,
		cRate: 0.1,
		durationS: 3600,
		faults: []
	});
	const match = await (
		await request.post('/api/v1/match', {
			data: {
				series: 2,
				parallel: 2,
				cells: [4, 10, 6, 10, 4].map((capacityAh, i) => ({ id: `c${i}`, capacityAh, batch: 'a' }))
			}
		})
	).json();
	expect(match).toMatchObject({
		smallestGroupAh: 14,
		spreadAh: 0,
		proven: true,
		upperBoundAh: 14,
		spares: ['c2'],
		arrivalOrder: { smallestGroupAh: 14, spreadAh: 2 }
	});
	expect(match.groups[0]).toMatchObject({ position: 1, capacityAh: 14, resistanceMohm: null });
	const limits = await (
		await request.post('/api/v1/limits', {
			data: { chemistry: 'LFP', series: 8, parallel: 2, strategy: 'middle-road', cell: { ratedAh: 230 } }
		})
	).json();
	const keys =
		'cellHighV cellLowV packHighV packLowV chargeHotC chargeColdC dischargeHotC dischargeColdC overCurrentChargeA overCurrentDischargeA balanceStartV balanceTriggerV capacityAh absorbV floatV tailA loadCutoffV'.split(
			' '
		);
	for (const key of keys)
		expect(
			limits.values.find((v: { key: string }) => v.key === key),
			key
		).toMatchObject({ value: expect.any(Number), unit: expect.any(String), reason: expect.any(String) });
	const fade = await (
		await request.post('/api/v1/fade', {
			data: {
				ratedAh: 230,
				endFraction: 0.8,
				observations: [{ ageYears: 3, efc: 300, capacityAh: 220, sdAh: 2 }],
				efcPerYear: 100
			}
		})
	).json();
	expect(fade.endAgeYears.low95).toBeLessThan(fade.endAgeYears.median);
	expect(fade.curve[0]).toMatchObject({
		ageYears: 0,
		mean: expect.any(Number),
		low95: expect.any(Number),
		high95: expect.any(Number)
	});
});

test('answers bad input with problem details and paths', async ({ request }) => {
	const bad = await request.post('/api/v1/match', {
		data: {
			series: 2,
			parallel: 2,
			cells: [
				{ id: 1, capacityAh: -5 },
				{ id: 2, capacityAh: 'x' }
			]
		}
	});
	expect(bad.status()).toBe(422);
	expect(bad.headers()['content-type']).toContain('application/problem+json');
	expect(((await bad.json()) as { errors: { path: string }[] }).errors.map((e) => e.path)).toEqual([
		'cells.0.capacityAh',
		'cells.1.capacityAh'
	]);
	const few = await request.post('/api/v1/match', {
		data: { series: 4, parallel: 2, cells: [{ id: 1, capacityAh: 5 }] }
	});
	expect(await few.json()).toMatchObject({
		status: 422,
		code: 'too-few-cells',
		detail: expect.stringContaining('requires 8 cells, got 1')
	});
	expect(
		await (
			await request.post('/api/v1/capacity-run/analyse', { data: 'a,b\n1,2', headers: { 'content-type': 'text/csv' } })
		).json()
	).toMatchObject({ code: 'log-header' });
	expect(
		(
			await request.post('/api/v1/banks', {
				data: Buffer.from('{"name":'),
				headers: { 'content-type': 'application/json' }
			})
		).status()
	).toBe(400);
	expect(
		(await request.post('/api/v1/banks', { data: '<name/>', headers: { 'content-type': 'application/xml' } })).status()
	).toBe(415);
	expect((await request.post('/api/v1/banks', { data: { name: 'x'.repeat(3_000_000) } })).status()).toBe(413);
	expect((await request.get('/api/v1/banks/999999')).status()).toBe(404);
	expect((await request.get('/api/v1/nonsense')).status()).toBe(404);
	expect(
		await (await request.get('/api/v1/banks/1/two/three/four', { headers: { accept: '*/*' } })).json()
	).toMatchObject({ status: 404, code: 'refused' });
	expect(await (await request.put('/api/v1/banks/1', { data: {} })).json()).toMatchObject({ status: 405 });
});

test('changes records with a version, deletes softly, pages', async ({ request }) => {
	const bank = await (
		await request.post('/api/v1/banks', {
			data: { name: 'By script', bankUse: 'other', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json();
	const patch = (data: object) => request.patch(`/api/v1/banks/${bank.id}`, { data });
	expect((await patch({ notes: 'a', version: 1 })).status()).toBe(200);
	expect((await patch({ notes: 'b', version: 1 })).status()).toBe(409);
	expect((await request.delete(`/api/v1/banks/${bank.id}?version=2`)).status()).toBe(204);
	expect((await request.get(`/api/v1/banks/${bank.id}`)).status()).toBe(404);
	expect(await (await request.post(`/api/v1/banks/${bank.id}/restore`)).json()).toMatchObject({ notes: 'a' });
	expect(await (await request.get('/api/v1/cells?size=3&page=2')).json()).toMatchObject({
		page: 2,
		size: 3,
		items: { length: 3 }
	});
	await request.delete(`/api/v1/banks/${bank.id}?version=3`);
});

test('describes itself in OpenAPI 3.1 from the input classes', async ({ request }) => {
	const doc = await (await request.get('/api/v1/openapi.json')).json();
	expect(doc.openapi).toBe('3.1.0');
	expect(doc.components.schemas.MatchInput.properties.cells).toMatchObject({
		type: 'array',
		items: { $ref: '#/components/schemas/MatchCellInput' }
	});
	expect(doc.components.schemas.BankInput.properties.series).toMatchObject({ minimum: 1, maximum: 128 });
	const refs = [...JSON.stringify(doc).matchAll(/#\/components\/schemas\/(\w+)/g)].map((m) => m[1]);
	for (const name of new Set(refs)) expect(doc.components.schemas[name!], name).toBeDefined();
});

test('guards its door', async ({ request, page, baseURL }) => {
	expect(await statusWithHost(baseURL!, 'evil.example')).toBe(400);
	expect(await statusWithHost(baseURL!, 'localhost')).toBe(200);
	expect(
		(await request.post('/api/v1/settings', { data: {}, headers: { origin: 'http://evil.example' } })).status()
	).toBe(400);
	const response = (await page.goto('/'))!;
	const policy = response.headers()['content-security-policy'];
	expect(policy).toContain("default-src 'self'");
	expect(policy).toContain("frame-ancestors 'none'");
	expect(policy).not.toContain("script-src 'self' 'unsafe-inline'");
	expect(response.headers()['x-content-type-options']).toBe('nosniff');
	const missing = await request.get('/banks/999999/plan');
	expect(missing.status()).toBe(404);
	expect(await missing.text()).not.toMatch(/node_modules|at \w+ \(/);
});

test('guards its files as its pages', async ({ request, baseURL }) => {
	const page = await (await request.get('/')).text();
	const script = /\/_app\/immutable\/[\w./-]+\.js/.exec(page)![0];
	const headers = (await request.get(script)).headers();
	expect(headers['x-content-type-options']).toBe('nosniff');
	expect(headers['permissions-policy']).toContain('camera=(self)');
	expect(headers['referrer-policy']).toBeTruthy();
	expect(headers['cache-control']).toContain('immutable');
	expect(await statusWithHost(baseURL!, 'evil.example', script)).toBe(400);
	const nowhere = await request.get('/_app/immutable/nothing.js');
	expect(nowhere.status()).toBe(404);
	// What the framework itself refuses is a problem document too.
	const wrongWay = await request.fetch('/api/v1/health', { method: 'DELETE' });
	expect(wrongWay.status()).toBe(405);
	expect(wrongWay.headers()['content-type']).toContain('application/problem+json');
});
