import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';

let folder: string;
let child: ChildProcess;
let base: string;
let output = '';

async function until<T>(what: string, holds: () => Promise<T | false | null>): Promise<T> {
	for (let i = 0; i < 2400; i++) {
		const held = await holds();
		if (held) return held;
		if (child.exitCode !== null) break;
		await new Promise((done) => setTimeout(done, 50));
	}
	throw new Error(`Waited in vain until ${what}: ${output.slice(-400)}`);
}
const running = () =>
	JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as { serverPid: number; databasePid: number };
const health = () =>
	fetch(`${base}/api/v1/health`).then(
		async (r) => ({ ...((await r.json()) as { database: string }), status: r.status }),
		() => null
	);
const isWell = async () => (await health())?.status === 200;
const post = (path: string, body: object) =>
	fetch(`${base}/api/v1/${path}`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(body)
	});

beforeAll(async () => {
	folder = mkdtempSync(join(tmpdir(), 'ember-restart-'));
	const port = await new Promise<number>((done) => {
		const probe = createServer().listen(0, '127.0.0.1', () => {
			const { port: free } = probe.address() as { port: number };
			probe.close(() => done(free));
		});
	});
	base = `http://127.0.0.1:${port}`;
	child = spawn(process.execPath, ['scripts/start.mjs'], {
		env: { ...process.env, DATABASE_URL: '', KIND_EMBER_DATA: folder, PORT: String(port) }
	});
	for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (part: Buffer) => (output += part));
	await until('it serves', async () => output.includes('Ctrl-C stops it'));
});
afterAll(async () => {
	const ended = new Promise((done) => child.once('exit', done));
	child.kill('SIGINT');
	if (child.exitCode === null) await ended;
	rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
});

it('a database that dies is started again with all it held; meanwhile the application says that it is away', async () => {
	const bank = { name: 'Kept', bankUse: 'boat', chemistry: 'LFP', series: 4, parallel: 1 };
	expect((await post('banks', bank)).status).toBe(201);
	const before = running();
	process.kill(before.databasePid, 'SIGKILL');
	// Whatever is asked meanwhile is answered at once and in words: no page hangs, no 500.
	const away = await until('the application notices', async () => {
		const answer = await post('notes', { cellId: 1, text: 'typed meanwhile' });
		return answer.status === 503 ? ((await answer.json()) as { code: string; detail: string }) : null;
	});
	expect(away).toMatchObject({ code: 'database-away', detail: expect.stringContaining('started again') });
	await until('the database is back', async () => (await isWell()) && running().databasePid !== before.databasePid);
	expect(running().serverPid).toBe(before.serverPid);
	const { items } = (await (await fetch(`${base}/api/v1/banks`)).json()) as { items: { name: string }[] };
	expect(items.map((b) => b.name)).toEqual(['Kept']);
});

it('an application that dies is started again on the same address', async () => {
	const before = running();
	process.kill(before.serverPid, 'SIGKILL');
	await until('it is gone', async () => (await health()) === null);
	await until('it is back', isWell);
	expect(running().serverPid).not.toBe(before.serverPid);
	expect(running().databasePid).toBe(before.databasePid);
});
