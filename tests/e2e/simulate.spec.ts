import { expect, test } from '../support/e2e';

const cell = { id: 'a', capacityAh: 100, soc: 1, selfDischargePerMonth: 0 };
const world = { chemistry: 'LFP', cells: [cell], wiring: { kind: 'loose' } };
const discharge = { kind: 'discharge', currentA: 20, until: { cellLowV: 2.5 } };
const request = (more: object = {}) => ({ world, steps: [discharge], stepS: 10, recordEveryS: 600, ...more });

test('the simulation answers with columns, and the capacity of the cell', async ({ request: http }) => {
	const response = await http.post('/api/v1/simulate', { data: request() });
	expect(response.status()).toBe(200);
	const result = await response.json();
	expect(result.steps[0].endedBy).toBe('cellLow');
	expect(result.steps[0].ah).toBeGreaterThan(-100.2);
	expect(result.steps[0].ah).toBeLessThan(-99);
	expect(result.timeS[0]).toBe(0);
	expect(result.timeS[1]).toBe(600);
	for (const column of ['voltageV', 'soc', 'currentA', 'temperatureC'])
		expect(result.cells.a[column]).toHaveLength(result.timeS.length);
	expect(result.cells.a.voltageV.at(-1)).toBeCloseTo(2.5, 3);
	expect(result.currentA[1]).toBe(-20);
});

test('the same seed gives the same answer, and a signed discharge means the same', async ({ request: http }) => {
	const noisy = { ...world, seed: 3, cells: [cell, { id: 'b' }], wiring: { kind: 'series' }, bms: { noiseV: 0.01 } };
	const post = async (data: object) => (await http.post('/api/v1/simulate', { data })).json();
	const steps = [{ kind: 'discharge', currentA: 30, until: { durationS: 3600 } }];
	expect(await post(request({ world: noisy, steps }))).toEqual(await post(request({ world: noisy, steps })));
	const signed = [{ ...discharge, currentA: -20 }];
	expect(await post(request({ steps: signed }))).toEqual(await post(request()));
});

test('what is refused comes with a reason and the field', async ({ request: http }) => {
	const refused: [object, string][] = [
		[request({ stepS: 0 }), 'stepS'],
		[request({ world: { ...world, cells: [{ id: 'a', capacityAh: -5 }] } }), 'world.cells.0.capacityAh'],
		[request({ world: { ...world, wiring: { kind: 'series', groups: [['nobody']] } } }), 'world.wiring.groups.0.0'],
		[request({ world: { ...world, wiring: { kind: 'series', groups: ['a'] } } }), 'world.wiring.groups.0'],
		[request({ steps: [{ kind: 'charge', voltageV: 3.6, until: { durationS: 60 } }] }), 'steps.0.currentA'],
		[request({ steps: [{ kind: 'rest', until: { durationS: 1e9 } }], stepS: 0.1 }), 'stepS'],
		[request({ steps: [] }), 'steps'],
		[{}, 'world']
	];
	for (const [data, path] of refused) {
		const response = await http.post('/api/v1/simulate', { data });
		expect(response.status(), path).toBe(422);
		const problem = await response.json();
		expect(problem.errors.map((e: { path: string }) => e.path)).toContain(path);
		expect(problem.errors[0].message.length).toBeGreaterThan(10);
	}
});

test('more than four at once are told to wait, and the server answers meanwhile', async ({ request: http }) => {
	const long = request({
		world: {
			chemistry: 'LFP',
			cells: Array.from({ length: 32 }, (_, i) => ({ id: `c${i}` })),
			wiring: { kind: 'series' }
		},
		steps: [{ kind: 'discharge', currentA: 1, until: { durationS: 86400 } }],
		stepS: 1
	});
	const answers = Array.from({ length: 6 }, () => http.post('/api/v1/simulate', { data: long }));
	expect((await http.get('/api/v1/health')).ok()).toBe(true);
	const codes = (await Promise.all(answers)).map((r) => r.status());
	expect(codes.filter((c) => c === 200)).toHaveLength(4);
	expect(codes.filter((c) => c === 409)).toHaveLength(2);
});

test('a simulation nobody waits for any more is ended, and its place is free', async ({ baseURL, request: http }) => {
	const long = request({
		world: {
			chemistry: 'LFP',
			cells: Array.from({ length: 32 }, (_, i) => ({ id: `c${i}` })),
			wiring: { kind: 'series' }
		},
		steps: [{ kind: 'rest', until: { durationS: 15 * 86400 } }],
		stepS: 1,
		recordEveryS: 3600
	});
	const cancel = new AbortController();
	const given = Array.from({ length: 4 }, () =>
		fetch(`${baseURL}/api/v1/simulate`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(long),
			signal: cancel.signal
		}).catch((error: Error) => error.name)
	);
	const short = () => http.post('/api/v1/simulate', { data: request() }).then((r) => r.status());
	await expect.poll(short).toBe(409);
	cancel.abort();
	expect(await Promise.all(given)).toEqual(Array(4).fill('AbortError'));
	await expect.poll(short).toBe(200);
});
