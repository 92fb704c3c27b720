// How the built application and the simulated bench beside it are started, for use and for tests.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './machine.mjs';

export const serverFile = join(root, 'build-tools', 'serve.js');
export const standInsFile = join(root, 'build-tools', 'stand-ins.js');

/** Starts the simulated bench, a process of its own, its hands on `port`. */
export const startStandIns = (port) =>
	spawn(process.execPath, [standInsFile, '--port', String(port)], {
		cwd: root,
		stdio: ['ignore', 'ignore', 'inherit'],
		detached: true
	});

/** The environment of the built application on a loopback port, with the simulated bench's hands on another. */
export function serverEnvironment(databaseUrl, port, benchPort) {
	return {
		...process.env,
		DATABASE_URL: databaseUrl,
		HOST: '127.0.0.1',
		PORT: String(port),
		ORIGIN: `http://127.0.0.1:${port}`,
		BODY_SIZE_LIMIT: 'Infinity',
		SHUTDOWN_TIMEOUT: '5',
		// What is made and thrown away at once, MB: each of a dozen threads has its own.
		NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=8`.trim(),
		// One heap of the C library for two threads: each thread's own is never given back.
		MALLOC_ARENA_MAX: '2',
		KIND_EMBER_BENCH: `127.0.0.1:${benchPort}`,
		KIND_EMBER_TOOLS: join(root, 'build-tools'),
		KIND_EMBER_BUILD: join(root, 'build'),
		NODE_ENV: 'production'
	};
}
