import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

interface Started {
	child: ChildProcess;
	output: () => string;
	ended: Promise<number | null>;
}

let folder: string;
let port: string;
const running: ChildProcess[] = [];

function start(): Started {
	const child = spawn(process.execPath, ['scripts/start.mjs'], {
		env: { ...process.env, DATABASE_URL: '', KIND_EMBER_DATA: folder, PORT: port }
	});
	running.push(child);
	let text = '';
	child.stdout.on('data', (part: Buffer) => (text += part));
	child.stderr.on('data', (part: Buffer) => (text += part));
	return { child, output: () => text, ended: new Promise((done) => child.once('exit', done)) };
}

async function until(what: string, holds: () => boolean | Promise<boolean>): Promise<void> {
	for (let i = 0; i < 2000; i++) {
		if (await holds()) return;
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error(`Waited in vain until ${what}`);
}

const health = () =>
	fetch(`http://127.0.0.1:${port}/api/v1/health`).then(
		(r) => r.json() as Promise<{ status: string }>,
		() => null
	);
const alive = (pid: number) => {
	try {
		process.kill(pid, 0);
		return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
	} catch {
		return false;
	}
};
const pids = () =>
	JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as { serverPid: number; databasePid: number };

beforeAll(async () => {
	folder = mkdtempSync(join(tmpdir(), 'ember-start-'));
	port = await new Promise((done) => {
		const probe = createServer().listen(0, '127.0.0.1', () => {
			const { port: free } = probe.address() as { port: number };
			probe.close(() => done(String(free)));
		});
	});
});
afterAll(() => {
	for (const child of running) child.kill('SIGTERM');
	rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
});

describe('the start command', () => {
	it('serves, refuses a second start, recovers from kill -9 with its records, and stops both on Ctrl-C', async () => {
		const first = start();
		await until('the first start serves', () => first.output().includes(`http://127.0.0.1:${port}`));
		expect(await health()).toMatchObject({ status: 'ok', database: 'ok' });
		const made = await fetch(`http://127.0.0.1:${port}/api/v1/banks`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ name: 'Kept', bankUse: 'boat', chemistry: 'LFP', series: 4, parallel: 1 })
		});
		expect(made.status).toBe(201);

		const second = start();
		expect(await second.ended).toBe(1);
		expect(second.output()).toContain('already running');

		const left = pids();
		first.child.kill('SIGKILL');
		await first.ended;
		expect(alive(left.serverPid) && alive(left.databasePid)).toBe(true);

		const third = start();
		await until('the third start serves', () => third.output().includes('Ctrl-C stops it'));
		expect(alive(left.serverPid) || alive(left.databasePid)).toBe(false);
		const banks = (await (await fetch(`http://127.0.0.1:${port}/api/v1/banks`)).json()) as {
			items: { name: string }[];
		};
		expect(banks.items.map((b) => b.name)).toEqual(['Kept']);

		const now = pids();
		third.child.kill('SIGINT');
		expect(await third.ended).toBe(0);
		expect(alive(now.serverPid) || alive(now.databasePid)).toBe(false);
		expect(await health()).toBeNull();
	});
});
