// What the machine must have before anything of the project can run. Plain Node, no dependency.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
	accessSync,
	constants,
	existsSync,
	mkdirSync,
	mkdtempSync,
	readFileSync,
	readdirSync,
	statSync,
	statfsSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(fileURLToPath(new URL('../..', import.meta.url)));
export const dataDir = resolve(root, process.env.KIND_EMBER_DATA ?? 'data');

export const say = (text) => console.log(text);
export function fail(text) {
	console.error(`\n${text}\n`);
	process.exit(1);
}

const onPath = (names) =>
	names.find((name) =>
		[...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/local/sbin', '/sbin'].some((dir) =>
			existsSync(join(dir, name))
		)
	) ?? null;
const where = (name) =>
	[...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/local/sbin', '/sbin']
		.map((dir) => join(dir, name))
		.find((p) => existsSync(p)) ?? null;

export function checkNode() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major < 20 || (major === 20 && minor < 19))
		fail(`Kind Ember needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

/** Installs the packages when the lock file changed since they were last installed. */
export function ensurePackages() {
	const stamp = join(root, 'node_modules', '.kind-ember-lock');
	const hash = createHash('sha256')
		.update(readFileSync(join(root, 'package-lock.json')))
		.digest('hex');
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
	say('Installing packages …');
	const done = spawnSync('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
		cwd: root,
		stdio: 'inherit'
	});
	if (done.status !== 0)
		fail('Packages could not be installed. Run "npm ci" here to see why; the network must reach the package registry.');
	writeFileSync(stamp, hash);
}

/** Debian packages by the program they bring; installed as root, otherwise one message with the command. */
export function ensurePrograms(wanted) {
	const missing = wanted.filter(({ programs }) => onPath(programs) === null).map(({ debian }) => debian);
	if (missing.length === 0) return;
	const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
	if (process.getuid?.() !== 0 || where('apt-get') === null)
		fail(
			`Missing on this machine: ${missing.join(', ')}.\nInstall with:  sudo ${command}\nthen start again.${missing.includes('mariadb-server') ? ' Or set DATABASE_URL to a MariaDB of your own.' : ''}`
		);
	say(`Installing ${missing.join(', ')} …`);
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	const run = () => spawnSync('sh', ['-c', command], { env, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;
	spawnSync('apt-get', ['update', '-qq'], { env, stdio: 'ignore' });
	if (!run()) fail(`Installing failed. Run:  ${command}`);
}

export const MARIADB = { programs: ['mariadbd'], debian: 'mariadb-server' };
export const CHROMIUM = { programs: ['chromium'], debian: 'chromium' };
export const programPath = where;

function newest(dir) {
	return readdirSync(dir, { withFileTypes: true }).reduce((latest, entry) => {
		const path = join(dir, entry.name);
		return Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
	}, 0);
}

/** Builds when a source is newer than the last build. */
export function ensureBuild() {
	const stamp = join(root, 'build', '.built');
	const sources = ['src', 'demo', 'bench', 'truth', 'stand-ins', 'static'].map((d) => join(root, d)).filter(existsSync);
	const configs = ['package-lock.json', 'svelte.config.js', 'vite.config.ts', 'vite.tools.config.ts'].map(
		(f) => statSync(join(root, f)).mtimeMs
	);
	const changed = Math.max(...sources.map(newest), ...configs);
	if (existsSync(stamp) && statSync(stamp).mtimeMs > changed) return;
	say('Building …');
	for (const args of [
		['exec', 'svelte-kit', 'sync'],
		['run', 'build']
	]) {
		const done = spawnSync('npm', ['--silent', ...args], { cwd: root, encoding: 'utf8' });
		if (done.status !== 0) fail(`The build failed:\n${done.stdout}\n${done.stderr}`);
	}
	writeFileSync(stamp, new Date().toISOString());
}

const SCRATCH_BYTES = 3 << 30;

/** A new folder for what is needed only for a while: in memory where there is room, since a slow disk slows everything. */
export function scratchFolder(prefix) {
	const memory = '/dev/shm';
	const roomy = () => {
		const { bavail, bsize } = statfsSync(memory);
		accessSync(memory, constants.W_OK);
		return bavail * bsize > SCRATCH_BYTES;
	};
	let home = tmpdir();
	try {
		if (roomy()) home = memory;
	} catch {
		// No such folder here: the system's own will do.
	}
	return mkdtempSync(join(home, prefix));
}

export function ensureDataDir() {
	mkdirSync(dataDir, { recursive: true, mode: 0o700 });
	return dataDir;
}

/** Whether a process lives and is what its command line should contain. */
export function processIs(pid, word) {
	try {
		process.kill(pid, 0);
		return (
			readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(word) &&
			!/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'))
		);
	} catch {
		return false;
	}
}
