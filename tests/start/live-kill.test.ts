import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, startPrivateMariadb } from '../../scripts/steps/private-mariadb.mjs';
import { serverEnvironment, serverFile, startStandIns } from '../../scripts/steps/server.mjs';

let folder: string;
let mariadb: { url: string; stop(): Promise<void> };
let bench: ChildProcess;
let server: ChildProcess;
let port: number;
let benchPort: number;
const address = () => `http://127.0.0.1:${port}/api/v1`;

async function until<T>(what: string, find: () => Promise<T | null | false>): Promise<T> {
	for (let i = 0; i < 2000; i++) {
		const found = await find().catch(() => null);
		if (found) return found;
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error(`Waited in vain until ${what}`);
}
async function startServer(): Promise<void> {
	const env = { ...serverEnvironment(mariadb.url, port, benchPort), LOG_LEVEL: 'error' };
	server = spawn(process.execPath, [serverFile], { env, stdio: ['ignore', 'ignore', 'inherit'] });
	await until('the application answers', async () => (await fetch(`${address()}/health`)).ok);
}
async function api<T>(method: string, path: string, body?: object): Promise<T> {
	const response = await fetch(`${address()}/${path}`, {
		method,
		headers: { 'content-type': 'application/json' },
		body: body ? JSON.stringify(body) : undefined
	});
	const answer = await response.json();
	if (!response.ok) throw new Error(JSON.stringify(answer));
	return answer as T;
}

interface Sample {
	atMs: number;
}
/** Every sample the application has shown: what it has acknowledged. Ends with the application. */
async function listen(id: number, heard: Sample[]): Promise<void> {
	const response = await fetch(`${address()}/live-runs/stream?samples=${id}`);
	let text = '';
	for await (const part of response.body!.pipeThrough(new TextDecoderStream())) {
		text += part;
		const events = text.split('\n\n');
		text = events.pop()!;
		for (const event of events)
			if (event.startsWith('event: samples')) heard.push(...(JSON.parse(/^data: (.*)$/m.exec(event)![1]!) as Sample[]));
	}
}

beforeAll(async () => {
	folder = mkdtempSync(join(tmpdir(), 'kind-ember-kill-'));
	mariadb = await startPrivateMariadb(folder, { passing: true });
	[port, benchPort] = [await freePort(), await freePort()];
	bench = startStandIns(benchPort);
	await startServer();
});
afterAll(async () => {
	server.kill('SIGKILL');
	bench.kill('SIGKILL');
	await mariadb.stop();
	rmSync(folder, { recursive: true, force: true });
});

describe('the application killed in the middle of a live run', () => {
	it('has lost no sample it had shown, goes on by itself, and marks the gap', async () => {
		const bank = await api<{ id: number }>('POST', 'rehearsals', { ready: 'first-crate' });
		const { items: deliveries } = await api<{ items: { id: number }[] }>('GET', `deliveries?bankId=${bank.id}`);
		const { items: cells } = await api<{ items: { id: number }[] }>('GET', `cells?deliveryId=${deliveries[0]!.id}`);
		const { items: loads } = await api<{ items: { id: number }[] }>('GET', 'instruments?kind=load');
		const { run, values } = await api<{ run: { id: number }; values: string[] }>('POST', 'live-runs', {
			bankId: bank.id,
			kind: 'capacity',
			cellId: cells[0]!.id,
			instruments: { load: loads[0]!.id },
			phases: [{ kind: 'discharge', currentA: 1, cutoffV: 2.5 }]
		});
		await api('POST', `live-runs/${run.id}/begin`, { confirmed: values });
		const shown: Sample[] = [];
		const listening = listen(run.id, shown).catch(() => undefined);
		await until('samples are shown', async () => shown.length > 60);
		server.kill('SIGKILL');
		await listening;
		const acknowledged = shown.map((s) => s.atMs);

		await startServer();
		const stored = async () =>
			(await api<{ samples: Sample[] }>('GET', `live-runs/${run.id}/samples`)).samples.map((s) => s.atMs);
		const kept = new Set(await stored());
		expect(acknowledged.filter((at) => !kept.has(at))).toEqual([]);

		const last = acknowledged[acknowledged.length - 1];
		await until('the run goes on', async () => (await stored()).filter((at) => at > last!).length > 20);
		const { view } = await api<{ view: { state: string; sums: { gapS: number }[]; events: { kind: string }[] } }>(
			'GET',
			`live-runs/${run.id}`
		);
		expect(view.state).toBe('running');
		expect(view.sums[0]!.gapS).toBeGreaterThan(100);
		expect(view.events.map((e) => e.kind)).toEqual(expect.arrayContaining(['restart', 'gap']));
		const ended = await api<{ state: string }>('POST', `live-runs/${run.id}/stop`, {});
		expect(ended.state).toBe('ended');
	});
});
