// npm start / npm run demo: checks the machine, starts a private database, builds, serves on loopback.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
	MARIADB,
	checkNode,
	dataDir,
	ensureBuild,
	ensureDataDir,
	ensurePackages,
	ensurePrograms,
	fail,
	processIs,
	root,
	say
} from './steps/machine.mjs';
import { diskTrouble, isFull } from './steps/disk.mjs';
import { freePort, startPrivateMariadb } from './steps/private-mariadb.mjs';
import { serverEnvironment, serverFile, startStandIns } from './steps/server.mjs';

function asked() {
	const isOn = { type: 'boolean', default: false };
	try {
		return parseArgs({ options: { demo: isOn, reset: isOn } }).values;
	} catch (error) {
		return fail(`${error.message}. This command knows --demo and --reset; where it listens is PORT.`);
	}
}
const { demo, reset } = asked();
const DEFAULT_PORT = 5310;
const DEFAULT_BENCH_PORT = 5320;
/** Restarts within this time count together; more than so many, and something is wrong that no restart mends. */
const RESTART_WINDOW_MS = 5 * 60_000;
const MAX_RESTARTS = 5;
const LONGEST_WAIT_MS = 8000;
const ROOM_EVERY_MS = 2000;

const pause = (ms) => new Promise((done) => setTimeout(done, ms));

checkNode();
const folder = inWords(ensureDataDir, dataDir);
const runFile = join(folder, 'running.json');
// The made-up banks of the demo never mix with a person's own.
const databaseFolder = join(folder, demo ? 'demo' : 'own');

refuseSecondStart();
ensurePackages();
if (!process.env.DATABASE_URL) ensurePrograms([MARIADB]);
ensureBuild();

let stopping = false;
let server = null;
let bench = null;
let database = null;
let address = null;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stopAll(0));

await stopLeftOverServer();
inWords(() => writeFileSync(runFile, JSON.stringify({ pid: process.pid })), folder);
database = process.env.DATABASE_URL ? null : await startPrivateMariadb(databaseFolder).catch((e) => fail(e.message));
const url = process.env.DATABASE_URL || database.url;
if (demo && !stopping) {
	const loaded = spawnSync(process.execPath, [join(root, 'build-tools', 'demo.js'), ...(reset ? ['--reset'] : [])], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, DATABASE_URL: url }
	});
	if (loaded.status !== 0) {
		console.error('\nThe demo scenario could not be loaded; see the message above.\n');
		await stopAll(1);
	}
}
if (!stopping) await serve();

/** What a disk that is full or read-only does not let us do ends the start in words. */
function inWords(work, where) {
	try {
		return work();
	} catch (error) {
		return fail(diskTrouble(error, where, { isNew: !existsSync(where) }).message);
	}
}

function readRunFile() {
	try {
		return JSON.parse(readFileSync(runFile, 'utf8'));
	} catch {
		return null;
	}
}

function refuseSecondStart() {
	if (!existsSync(runFile)) return;
	const run = readRunFile();
	if (run && run.pid !== process.pid && processIs(run.pid, 'start.mjs'))
		fail(
			`Kind Ember is already running${run.address ? ` at ${run.address}` : ''} (process ${run.pid}). Use that one, or stop it with Ctrl-C where it was started.`
		);
}

/** Ends a process if it still is what it was; by force when it has not gone after so many tenths of a second. */
async function end(pid, word, tenths) {
	if (!pid || !processIs(pid, word)) return;
	process.kill(pid, 'SIGTERM');
	for (let i = 0; i < tenths && processIs(pid, word); i++) await pause(100);
	if (processIs(pid, word)) process.kill(pid, 'SIGKILL');
}

/** A start that was killed leaves its server and its database behind. */
async function stopLeftOverServer() {
	const run = readRunFile();
	await end(run?.serverPid, 'build-tools/serve.js', 50);
	await end(run?.benchPid, 'stand-ins.js', 20);
	await end(run?.databasePid, 'mariadbd', 300);
}

/** Waits longer and longer between restarts of one thing. @returns how to ask for the next: false when it is given up */
function patience() {
	let times = [];
	return async () => {
		times = [...times.filter((t) => Date.now() - t < RESTART_WINDOW_MS), Date.now()];
		if (times.length > MAX_RESTARTS) return false;
		await pause(Math.min(LONGEST_WAIT_MS, 250 * 2 ** times.length));
		return !stopping;
	};
}

/** A database that ends by itself is started again where it was; the application goes on meanwhile and says that it is away. */
async function keepDatabase() {
	const again = patience();
	while (database && !stopping) {
		await database.ended;
		if (stopping) return;
		console.error('\nThe database ended by itself. Starting it again …');
		const { port } = database;
		let started = null;
		await roomAgain();
		while (!started && (await again()))
			started = await startPrivateMariadb(databaseFolder, { port }).catch((error) => void console.error(error.message));
		if (stopping) return started?.stop();
		if (!started) return giveUp('The database');
		database = started;
		noteRunning();
		say('The database is back.');
	}
}

/** A full disk is no failure of the database: it is waited for. */
async function roomAgain() {
	if (!isFull(databaseFolder)) return;
	console.error(
		`The disk is full. What was stored is safe. Free 200 MB on the disk of ${databaseFolder}: it goes on by itself.`
	);
	while (isFull(databaseFolder) && !stopping) await pause(ROOM_EVERY_MS);
}

function giveUp(what) {
	console.error(
		`\n${what} ended again and again (${MAX_RESTARTS} restarts in ${RESTART_WINDOW_MS / 60_000} minutes). What was stored is on the disk under ${databaseFolder}. Look at the messages above, and at the room on the disk, then start again.`
	);
	return stopAll(1);
}

function noteRunning() {
	const run = {
		pid: process.pid,
		serverPid: server?.pid ?? null,
		benchPid: bench?.pid ?? null,
		databasePid: database?.pid ?? null,
		address
	};
	try {
		writeFileSync(runFile, JSON.stringify(run));
	} catch (error) {
		// It only tells the next start what this one left behind.
		console.error(diskTrouble(error, folder).message);
	}
}

/** The application; when it ends by itself it is started again on the same port. */
function startServer(env) {
	server = spawn(process.execPath, [serverFile], {
		cwd: root,
		env,
		stdio: ['ignore', 'ignore', 'inherit'],
		detached: true
	});
	noteRunning();
	return new Promise((done) =>
		server.once('exit', (code) => {
			server = null;
			done(code);
		})
	);
}

async function keepServer(env, ended) {
	const again = patience();
	for (let code = await ended; !stopping; code = await startServer(env)) {
		console.error(`\nThe application ended by itself (code ${code}). Starting it again …`);
		if (!(await again())) return stopping ? undefined : giveUp('The application');
	}
}

async function serve() {
	const port = process.env.PORT ? Number(process.env.PORT) : await freePort(DEFAULT_PORT);
	address = `http://127.0.0.1:${port}`;
	const benchPort = await freePort(DEFAULT_BENCH_PORT);
	bench = startStandIns(benchPort);
	const env = { ...serverEnvironment(url, port, benchPort), ...(database ? { KIND_EMBER_DISK: databaseFolder } : {}) };
	void keepServer(env, startServer(env));
	void keepDatabase();
	for (let i = 0; i < 300 && !stopping; i++) {
		const well = await fetch(`${address}/api/v1/health`).then(
			(r) => r.ok,
			() => false
		);
		if (well) {
			say(`\nKind Ember is at ${address}\nCtrl-C stops it.\n`);
			return;
		}
		await pause(100);
	}
	if (!stopping) {
		console.error('The application did not answer in 30 s; see the messages above.');
		await stopAll(1);
	}
}

async function stopAll(code) {
	if (stopping) return;
	stopping = true;
	say('\nStopping …');
	const running = server;
	if (running) {
		running.kill('SIGTERM');
		for (let i = 0; i < 80 && server; i++) await pause(100);
		if (server) running.kill('SIGKILL');
	}
	bench?.kill('SIGTERM');
	await database?.stop();
	rmSync(runFile, { force: true });
	process.exit(code);
}
