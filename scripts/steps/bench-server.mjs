// The running application under load: health answers while simulations, matchings, imports and live runs go on.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { apiAt } from './api.mjs';
import { keepDoing, matching } from './bench-work.mjs';
import { root } from './machine.mjs';
import { freePort, startPrivateMariadb } from './private-mariadb.mjs';
import { serverEnvironment, serverFile, startStandIns } from './server.mjs';

const OF_EACH = 4;
const IMPORTED_SAMPLES = 300_000;
const SAMPLES_A_LINE = 5000;
const BOUND_MS = 50;
const REQUESTS = 400;
const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/** Milliseconds each of so many requests for health took, one after the other. */
async function healthTimes(address, count) {
	const times = [];
	for (let i = 0; i < count; i++) {
		const begun = performance.now();
		const response = await fetch(`${address}/health`);
		await response.text();
		if (!response.ok) throw new Error(`health answered ${response.status}`);
		times.push(performance.now() - begun);
		await pause(5);
	}
	return times.sort((a, b) => a - b);
}

const at = (sorted, share) => sorted[Math.floor(sorted.length * share)];

/** A capacity run and a watch on the simulated bench, both at full pace. */
async function startLiveRuns({ post, list }) {
	const bank = await post('rehearsals', { ready: 'first-crate' });
	const [delivery] = await list(`deliveries?bankId=${bank.id}`);
	const cells = await list(`cells?deliveryId=${delivery.id}`);
	const tool = async (kind) => (await list(`instruments?kind=${kind}`))[0].id;
	const plans = [
		{
			kind: 'capacity',
			cellId: cells[0].id,
			instruments: { load: await tool('load') },
			phases: [{ kind: 'discharge', currentA: 0.2, cutoffV: 2.5 }]
		},
		{ kind: 'watch', instruments: { voltmeter: await tool('voltmeter') }, phases: [{ kind: 'watch' }] }
	];
	const runs = [];
	for (const plan of plans) {
		const { run, values } = await post('live-runs', { bankId: bank.id, intervalMs: 20, ...plan });
		await post(`live-runs/${run.id}/begin`, { confirmed: values });
		runs.push(run.id);
	}
	return runs;
}

const simulation = () => ({
	world: {
		chemistry: 'LFP',
		cells: Array.from({ length: 32 }, (_, i) => ({ id: `c${i}`, capacityAh: 280, soc: 0.5 + i / 1000 })),
		wiring: { kind: 'series' },
		bms: {},
		balancer: {}
	},
	steps: [{ kind: 'discharge', currentA: 2, until: { durationS: 5 * 86400 } }],
	stepS: 1,
	recordEveryS: 600
});

/** A bank's file with a long run in it. */
async function bankFile(address, { post }) {
	const bank = await post('banks', { name: 'Busy', bankUse: 'boat', chemistry: 'LFP', series: 4, parallel: 1 });
	const delivery = await post('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-01-02',
		cellCount: 1
	});
	const { items } = await (await fetch(`${address}/cells?deliveryId=${delivery.id}`)).json();
	const run = await post('runs', { cellId: items[0].id, capacityAh: 100, testedAt: '2026-01-03T10:00:00Z' });
	const lines = (await (await fetch(`${address}/banks/${bank.id}/export`)).text()).trim().split('\n');
	const end = JSON.parse(lines.pop());
	const pieces = Array.from({ length: IMPORTED_SAMPLES / SAMPLES_A_LINE }, (_, piece) => {
		const at = Array.from({ length: SAMPLES_A_LINE }, (__, i) => piece * SAMPLES_A_LINE + i);
		return JSON.stringify({
			kind: 'run-samples',
			runId: run.id,
			timeS: at,
			voltageV: at.map((t) => 3.4 - t / 1e6),
			currentA: at.map(() => -20)
		});
	});
	return [...lines, ...pieces, JSON.stringify({ ...end, lines: end.lines + pieces.length })].join('\n') + '\n';
}

async function importFile(address, file) {
	const headers = { 'content-type': 'application/x-ndjson' };
	const response = await fetch(`${address}/banks/import`, { method: 'POST', headers, body: file });
	const answer = await response.json();
	if (response.status !== 201) throw new Error(`import answered ${response.status}: ${answer.detail}`);
}

/** The application with a database and a simulated bench of its own, while some work is done with it. */
export async function withApplication(work) {
	const folder = mkdtempSync(join(tmpdir(), 'kind-ember-bench-'));
	const mariadb = await startPrivateMariadb(folder);
	const [port, benchPort] = [await freePort(), await freePort()];
	const bench = startStandIns(benchPort);
	const server = spawn(process.execPath, [serverFile], {
		cwd: root,
		env: { ...serverEnvironment(mariadb.url, port, benchPort), LOG_LEVEL: 'error' },
		stdio: ['ignore', 'ignore', 'inherit']
	});
	const site = `http://127.0.0.1:${port}`;
	const isWell = () =>
		fetch(`${site}/api/v1/health`).then(
			(r) => r.ok,
			() => false
		);
	try {
		for (let i = 0; i < 200 && !(await isWell()); i++) await pause(100);
		return await work(site, apiAt(site));
	} finally {
		server.kill('SIGKILL');
		bench.kill('SIGKILL');
		await mariadb.stop();
		rmSync(folder, { recursive: true, force: true });
	}
}

/** @returns whether the bound holds */
export const benchServer = () =>
	withApplication(async (site, api) => {
		const address = `${site}/api/v1`;
		const idle = await healthTimes(address, REQUESTS);
		const file = await bankFile(address, api);
		const runs = await startLiveRuns(api);
		let simulating = OF_EACH;
		const answers = Array.from({ length: OF_EACH }, () =>
			api.post('simulate', simulation()).finally(() => simulating--)
		);
		const stopImports = keepDoing(() => importFile(address, file), OF_EACH);
		const stopMatchings = keepDoing(() => api.post('match', matching), OF_EACH);
		await pause(1500);
		const busy = await healthTimes(address, REQUESTS);
		const stillRunning = simulating;
		const samples = [];
		for (const id of runs) samples.push((await api.get(`live-runs/${id}/samples`)).samples.length);
		const [imports, matchings] = await Promise.all([stopImports(), stopMatchings(), ...answers]);
		const p95 = at(busy, 0.95);
		const holds = p95 < BOUND_MS && stillRunning === OF_EACH && samples.every((n) => n > 20);
		console.log(
			`${holds ? 'holds ' : 'BROKEN'}  health with ${OF_EACH} simulations, ${OF_EACH} matchings, ${OF_EACH} imports and ${runs.length} live runs at once (${samples.join(' and ')} samples, ${stillRunning} simulations still going at the end, ${matchings} matchings and ${imports} imports done): p95 ${p95.toFixed(1)} ms, median ${at(busy, 0.5).toFixed(1)} ms, worst ${busy.at(-1).toFixed(0)} ms; idle p95 ${at(idle, 0.95).toFixed(1)} ms (bound: p95 < ${BOUND_MS} ms)`
		);
		return holds;
	});

const FUZZED = { requests: 6000, atOnce: 8, boundMs: 2000, seed: 20_261_101 };

/** How long the application takes over whatever is sent to it. @returns whether the bound holds */
export const benchFuzz = () =>
	withApplication(async (site, { get, post }) => {
		const { fuzzer } = await import(join(root, 'build-tools', 'fuzz.js'));
		const type = await post('cell-types', { name: 'Fuzz', chemistry: 'LFP', ratedAh: 100 });
		const bank = { name: 'Fuzz', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1, cellTypeId: type.id };
		const { id: bankId } = await post('banks', bank);
		await post('deliveries', { bankId, name: 'Crate', receivedOn: '2026-03-09', cellCount: 6 });
		const ids = [bankId, bankId, ...Array.from({ length: 12 }, (_, i) => i + 1)];
		const next = fuzzer(await get('openapi.json'), FUZZED.seed, ids);
		const times = [];
		let failed = 0;
		const sendOn = async () => {
			while (times.length < FUZZED.requests) {
				const { method, url, contentType, body } = next();
				const begun = performance.now();
				const response = await fetch(`${site}${url}`, {
					method,
					body,
					headers: contentType ? { 'content-type': contentType } : {}
				});
				await response.arrayBuffer();
				times.push(performance.now() - begun);
				if (response.status >= 500) failed++;
			}
		};
		await Promise.all(Array.from({ length: FUZZED.atOnce }, sendOn));
		times.sort((a, b) => a - b);
		const p99 = at(times, 0.99);
		const holds = p99 < FUZZED.boundMs && failed === 0;
		console.log(
			`${holds ? 'holds ' : 'BROKEN'}  ${times.length} requests by the description, sound and broken, ${FUZZED.atOnce} at once: p99 ${p99.toFixed(0)} ms, median ${at(times, 0.5).toFixed(0)} ms, worst ${times.at(-1).toFixed(0)} ms, ${failed} answered 5xx (bounds: p99 < ${FUZZED.boundMs} ms, none)`
		);
		return holds;
	});
