// Where end-to-end tests run: applications with the demo data, each with a database and a simulated bench of its own.
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { fail, root } from './machine.mjs';
import { freePort } from './private-mariadb.mjs';
import { serverEnvironment, serverFile, startStandIns } from './server.mjs';

const ANSWERS_WITHIN_MS = 120_000;

async function isWell(address) {
	try {
		return (await fetch(`${address}/api/v1/health`)).ok;
	} catch {
		return false;
	}
}

/**
 * Starts one such place and waits until it answers.
 * @param {string} mariadbUrl of the test run's own server; @param {string} name of the database, made here
 * @returns {{address: string, benchPort: number, stop: () => void}}
 */
export async function startPlace(mariadbUrl, name) {
	const url = mariadbUrl.replace(/\/[^/]*$/, `/${name}`);
	const connection = await createConnection(mariadbUrl);
	await connection.query(`create database if not exists ${name} character set utf8mb4`);
	await connection.end();
	const [port, benchPort] = [await freePort(), await freePort()];
	const env = { ...serverEnvironment(url, port, benchPort), LOG_LEVEL: 'warn' };
	const loaded = spawnSync(process.execPath, [join(root, 'build-tools', 'demo.js'), '--reset'], {
		cwd: root,
		env,
		encoding: 'utf8'
	});
	if (loaded.status !== 0) fail(`The demo data could not be loaded:\n${loaded.stdout}${loaded.stderr}`);
	const bench = startStandIns(benchPort);
	const server = spawn(process.execPath, [serverFile], { cwd: root, env, stdio: ['ignore', 'ignore', 'inherit'] });
	const address = `http://127.0.0.1:${port}`;
	const until = Date.now() + ANSWERS_WITHIN_MS;
	while (!(await isWell(address)) && Date.now() < until) await new Promise((done) => setTimeout(done, 100));
	const stop = () => [server, bench].forEach((child) => child.kill('SIGTERM'));
	return { address, benchPort, stop };
}
