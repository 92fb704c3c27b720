// npm test: installs what is missing, then lint, types, layers, unit, database, build, start and end-to-end tests.
// `-- --only unit,db,start,e2e,lint,types,layers` runs a part, `--file NAME` only the files of that name. The last line is "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
	CHROMIUM,
	MARIADB,
	checkNode,
	ensureBuild,
	ensurePackages,
	ensurePrograms,
	processIs,
	root,
	say,
	scratchFolder
} from './steps/machine.mjs';
import { startPrivateMariadb } from './steps/private-mariadb.mjs';

const { values: options } = parseArgs({ options: { only: { type: 'string' }, file: { type: 'string' } } });
const only = options.only?.split(',') ?? null;
const files = options.file?.split(',') ?? [];
const wanted = (name) => only === null || only.includes(name);
const work = scratchFolder('kind-ember-test-');
// Browser profiles and the folders tests make for themselves go there too.
process.env.TMPDIR = work;
let mariadb = null;
// However this ends, nothing is left running or lying in memory.
process.on('exit', () => {
	if (mariadb && processIs(mariadb.pid, 'mariadbd')) process.kill(mariadb.pid, 'SIGKILL');
	rmSync(work, { recursive: true, force: true });
});
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1));
/** Browsers at once in the end-to-end tests. */
const WORKERS = 2;
const total = { passed: 0, failed: 0 };
const bin = (name) => join(root, 'node_modules', '.bin', name);

function count(name, passed, failed) {
	total.passed += passed;
	total.failed += failed;
	say(`${failed ? '✗' : '✓'} ${name}: ${passed} passed, ${failed} failed`);
}

/** A tool that says yes or no: one test. */
async function check(name, command, args) {
	const tool = spawn(command, args, { cwd: root });
	const said = [];
	for (const stream of [tool.stdout, tool.stderr]) stream.on('data', (text) => said.push(text));
	const status = await new Promise((done) => tool.once('close', done).once('error', () => done(1)));
	if (status !== 0) say(Buffer.concat(said).toString());
	count(name, status === 0 ? 1 : 0, status === 0 ? 0 : 1);
}

/** Each of these tools keeps one core busy: the linter beside the others. */
async function checks() {
	const beside = wanted('lint') ? check('lint', bin('eslint'), ['.']) : null;
	if (wanted('lint')) await check('format', bin('prettier'), ['--check', '.']);
	if (wanted('types'))
		await check('types', bin('svelte-check'), ['--tsconfig', './tsconfig.json', '--fail-on-warnings']);
	if (wanted('layers')) {
		const folders = ['src', 'demo', 'bench', 'truth', 'stand-ins'];
		await check('layers', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...folders]);
	}
	await beside;
}

function readReport(file) {
	try {
		return JSON.parse(readFileSync(file, 'utf8'));
	} catch {
		return null;
	}
}

function vitest(name, project, env) {
	const report = join(work, `${project}.json`);
	const done = spawnSync(
		bin('vitest'),
		['run', ...files, '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${report}`],
		{ cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }
	);
	const result = readReport(report);
	const failedSuites = result
		? result.testResults.filter((s) => s.status === 'failed' && s.assertionResults.length === 0).length
		: 1;
	const failed = (result?.numFailedTests ?? 0) + failedSuites;
	count(name, result?.numPassedTests ?? 0, failed || (done.status === 0 ? 0 : 1));
}

async function endToEnd(mariadbUrl) {
	const { startPlace } = await import('./steps/e2e-places.mjs');
	const places = [];
	for (let n = 0; n < WORKERS; n++) places.push(await startPlace(mariadbUrl, `kind_ember_e2e_${n}`));
	const report = join(work, 'e2e.json');
	const runner = spawn(bin('playwright'), ['test', ...files], {
		cwd: root,
		stdio: 'inherit',
		env: {
			...process.env,
			E2E_ADDRESS: places.map((p) => p.address).join(),
			E2E_BENCH_PORT: places.map((p) => p.benchPort).join(),
			PLAYWRIGHT_JSON_OUTPUT_NAME: report
		}
	});
	const status = await new Promise((done) => runner.once('exit', done));
	places.forEach((p) => p.stop());
	const stats = readReport(report)?.stats;
	count(
		'end to end',
		stats?.expected ?? 0,
		(stats?.unexpected ?? 0) + (stats?.flaky ?? 0) || (status === 0 && stats?.expected ? 0 : 1)
	);
}

checkNode();
ensurePackages();
ensurePrograms([MARIADB, CHROMIUM]);
spawnSync(bin('svelte-kit'), ['sync'], { cwd: root });
await checks();
if (wanted('unit')) vitest('unit', 'unit', {});
// Database tests use the server's threads, which are built.
if (['db', 'start', 'e2e'].some(wanted)) ensureBuild();
mariadb = ['db', 'e2e'].some(wanted) ? await startPrivateMariadb(join(work, 'data'), { passing: true }) : null;
try {
	if (wanted('db')) vitest('database', 'db', { TEST_DATABASE_URL: mariadb.url });
	if (wanted('start')) vitest('start', 'start', {});
	if (wanted('e2e')) await endToEnd(mariadb.url);
} finally {
	await mariadb?.stop();
}
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
