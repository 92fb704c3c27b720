import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { freePort } from '../../scripts/steps/private-mariadb.mjs';

/** A disk of its own, of so many megabytes: only where we may mount one. */
const mounted = (folder: string, megabytes: number) =>
	spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', folder]).status === 0;
const unmounted = (folder: string) => spawnSync('umount', ['-l', folder]).status === 0;
const canMount = (() => {
	const folder = mkdtempSync(join(tmpdir(), 'ember-mount-'));
	const can = process.getuid?.() === 0 && mounted(folder, 1) && unmounted(folder);
	rmSync(folder, { recursive: true, force: true });
	return can;
})();

describe.skipIf(!canMount)('a disk', () => {
	let folder: string;
	let child: ChildProcess | null = null;
	let said = '';
	beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'ember-disk-'))));
	afterEach(async () => {
		if (child?.exitCode === null) {
			child.kill('SIGTERM');
			await new Promise((done) => child!.once('exit', done));
		}
		unmounted(folder);
		rmSync(folder, { recursive: true, force: true });
	});

	function start(data: string, port: number): Promise<number | null> {
		said = '';
		child = spawn(process.execPath, ['scripts/start.mjs'], {
			env: { ...process.env, DATABASE_URL: '', KIND_EMBER_DATA: data, PORT: String(port) }
		});
		for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (part: Buffer) => (said += part));
		return new Promise((done) => child!.once('exit', done));
	}

	it('without room for a database is told in words at the first start, and nothing half-made is left', async () => {
		expect(mounted(folder, 60)).toBe(true);
		expect(await start(join(folder, 'data'), await freePort())).toBe(1);
		expect(said).toContain('The disk is full: the database could not be prepared. Free 200 MB');
		expect(said).not.toMatch(/InnoDB|ERROR|Errcode|at .*\.mjs/);
		expect(existsSync(join(folder, 'data', 'own', 'mariadb', 'mysql'))).toBe(false);
	});

	it('that is read-only is told in words', async () => {
		expect(mounted(folder, 5)).toBe(true);
		mkdirSync(join(folder, 'data'));
		spawnSync('mount', ['-o', 'remount,ro', folder]);
		for (const data of [join(folder, 'data'), join(folder, 'other')]) {
			expect(await start(data, await freePort())).toBe(1);
			expect(said).toContain(`Nothing can be written to ${data}`);
			expect(said).not.toMatch(/ENOENT|EROFS|at .*\.mjs/);
		}
	});

	it('that fills up later loses nothing that was acknowledged, is named, and goes on by itself when there is room', async () => {
		expect(mounted(folder, 420)).toBe(true);
		const port = await freePort();
		void start(join(folder, 'data'), port);
		const api = async (path: string, body?: unknown, mime = 'application/json') => {
			const response = await fetch(`http://127.0.0.1:${port}/api/v1/${path}`, {
				method: body === undefined ? 'GET' : 'POST',
				headers: body === undefined ? {} : { 'content-type': mime },
				body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body)
			}).catch(() => null);
			return { status: response?.status ?? 0, body: (await response?.json().catch(() => null)) as never };
		};
		const until = async (what: string, holds: () => Promise<boolean>) => {
			for (let i = 0; i < 600; i++) {
				if (await holds()) return;
				await new Promise((done) => setTimeout(done, 200));
			}
			throw new Error(`Waited in vain until ${what}: ${said}`);
		};
		const isWell = async () => (await api('health')).status === 200;
		await until('it is there', isWell);
		await api('cell-types', { name: 'T', chemistry: 'LFP', ratedAh: 100 });
		await api('banks', { name: 'B', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1, cellTypeId: 1 });
		await api('deliveries', { bankId: 1, name: 'C', receivedOn: '2026-11-01', cellCount: 4 });
		const fill = join(folder, 'fill');
		spawnSync('dd', ['if=/dev/zero', `of=${fill}`, 'bs=1M']);
		const text = 'never twice the same '.repeat(100_000);
		let kept = 0;
		let refused: { status: number; body: { code: string; detail: string } } | null = null;
		for (let i = 0; i < 40 && !refused; i++) {
			const reading = await api('readings', { cellId: 1, quantity: 'restVoltage', rawText: '3.291' });
			if (reading.status === 201) kept++;
			else refused = reading;
			await api(`files?subjectKind=cell&subjectId=1&name=log-${i}.txt`, `${i} ${text}`, 'text/plain');
		}
		expect(refused).toMatchObject({ status: 503, body: { code: 'disk-full' } });
		expect(refused!.body.detail).toContain('Free 200 MB');
		const page = await fetch(`http://127.0.0.1:${port}/banks/1/receive`);
		expect(page.status).toBe(503);
		expect(await page.text()).toContain('The disk is full');
		rmSync(fill);
		await until('it goes on', isWell);
		const { body } = await api('readings?cellId=1');
		expect((body as { items: unknown[] }).items).toHaveLength(kept);
		expect(kept).toBeGreaterThan(0);
		expect((await api('readings', { cellId: 1, quantity: 'restVoltage', rawText: '3.292' })).status).toBe(201);
	});
});

describe('what a disk does', () => {
	it('that cut a preparation short is not taken for a database', async () => {
		const { diskTrouble, requireRoom } = await import('../../scripts/steps/disk.mjs');
		const folder = mkdtempSync(join(tmpdir(), 'ember-disk-'));
		expect(() => requireRoom(folder, true)).not.toThrow();
		const log = join(folder, 'mariadb.log');
		writeFileSync(log, 'before: No space left on device\n');
		const from = readFileSync(log).length;
		const other = new Error('Access denied');
		expect(diskTrouble(other, folder, { log: { file: log, from } })).toBe(other);
		expect(diskTrouble(other, folder, { log: { file: log, from: 0 } }).message).toContain('The disk is full');
		expect(diskTrouble(new Error('Errcode: 28 "No space"'), folder, { isNew: true }).message).toContain(
			'could not be prepared'
		);
		rmSync(folder, { recursive: true, force: true });
	});
});
