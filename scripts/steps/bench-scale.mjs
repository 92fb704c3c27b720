// The running application with many banks: what Home, the pages of a bank, a write and a whole record cost.
import { createConnection } from 'mysql2/promise';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './machine.mjs';
import { freePort, startPrivateMariadb } from './private-mariadb.mjs';
import { serverEnvironment, serverFile } from './server.mjs';

const BANKS = 200;
const CELLS = 100;
const READINGS = 10;
const MANY_CELLS = 1000;
const SAMPLES = 2_000_000;
const STAGES = ['plan', 'receive', 'test', 'match', 'balance', 'limits', 'serve'];
const BOUNDS = { pageMs: 150, manyCellsMs: 400, homeRatio: 1.5, memoryMb: 300 };
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)];

async function timed(count, work) {
	const times = [];
	for (let i = 0; i < count; i++) {
		const begun = performance.now();
		await work(i);
		times.push(performance.now() - begun);
	}
	return times;
}

const NOW = 'utc_timestamp(3)';
const STAMPS = `created_at, updated_at`;
const STAMPED = `${NOW}, ${NOW}`;

/** Banks with a crate each, every cell read over and over and tested once, made in the database itself. */
async function fill(db, from, count, cells) {
	const to = from + count - 1;
	const series = 4;
	const parallel = Math.floor((cells - 4) / series);
	await db.query(`insert ignore into cell_types (id, name, chemistry, rated_ah, ac_resistance_mohm, ${STAMPS})
		values (1, 'Scale 100', 'LFP', 100, 0.35, ${STAMPED})`);
	await db.query(`insert into banks (id, name, bank_use, chemistry, series, parallel, batteries, cell_type_id, ${STAMPS})
		select seq, concat('Bank ', seq), 'van', 'LFP', ${series}, ${parallel}, 1, 1, ${STAMPED} from seq_${from}_to_${to}`);
	await db.query(`insert into batteries (bank_id, number, series, parallel, ${STAMPS})
		select seq, 1, ${series}, ${parallel}, ${STAMPED} from seq_${from}_to_${to}`);
	await db.query(`insert into \`groups\` (battery_id, position, ${STAMPS})
		select b.id, s.seq, ${STAMPED} from batteries b join seq_1_to_${series} s where b.bank_id between ${from} and ${to}`);
	await db.query(`insert into deliveries (id, bank_id, name, received_on, ${STAMPS})
		select seq, seq, 'Crate', ${NOW} - interval 40 day, ${STAMPED} from seq_${from}_to_${to}`);
	await db.query(`insert into cells (delivery_id, label, position, batch, ${STAMPS})
		select d.seq, concat('C-', lpad(c.seq, 4, '0')), c.seq, 'B', ${STAMPED}
		from seq_${from}_to_${to} d join seq_1_to_${cells} c`);
	await db.query(`insert into candidates (bank_id, cell_id, ${STAMPS})
		select delivery_id, id, ${STAMPED} from cells where delivery_id between ${from} and ${to}`);
	await db.query(`insert into readings (cell_id, quantity, value, raw_text, raw_unit, sd, taken_at, ${STAMPS})
		select c.id, if(r.seq % 2, 'restVoltage', 'acResistance'), if(r.seq % 2, 3.29 + (c.id % 7) / 10000, 0.35 + (c.id % 5) / 1000),
			'x', if(r.seq % 2, 'V', 'mΩ'), 0.002, ${NOW} - interval (20 - r.seq) day, ${STAMPED}
		from cells c join seq_1_to_${READINGS} r where c.delivery_id between ${from} and ${to}`);
	await db.query(`insert into runs (cell_id, source, capacity_ah, sd_ah, temperature_c, tested_at, ${STAMPS})
		select id, 'hand', 100 + (id % 30) / 10, 1, 25, ${NOW} - interval 30 day, ${STAMPED}
		from cells where delivery_id between ${from} and ${to}`);
}

/** The application on a database of its own. */
async function startApplication(url) {
	const port = await freePort();
	const server = spawn(process.execPath, [serverFile], {
		cwd: root,
		env: { ...serverEnvironment(url, port, 1), LOG_LEVEL: 'error' },
		stdio: ['ignore', 'ignore', 'inherit']
	});
	const address = `http://127.0.0.1:${port}`;
	const well = () =>
		fetch(`${address}/api/v1/health`).then(
			(r) => r.ok,
			() => false
		);
	for (let i = 0; i < 200 && !(await well()); i++) await pause(100);
	return { server, address };
}

const memoryMb = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

/** Largest memory of a process while some work goes on, above what it had. */
async function memoryDuring(pid, work) {
	const before = memoryMb(pid);
	let most = before;
	const watch = setInterval(() => (most = Math.max(most, memoryMb(pid))), 50);
	try {
		return { result: await work(), most, before };
	} finally {
		clearInterval(watch);
	}
}

/** @returns whether every bound holds */
export async function benchScale() {
	let allHold = true;
	const say = (holds, text) => {
		allHold &&= holds;
		console.log(`${holds ? 'holds ' : 'BROKEN'}  ${text}`);
	};
	const folder = mkdtempSync(join(tmpdir(), 'kind-ember-scale-'));
	const mariadb = await startPrivateMariadb(folder, { passing: true });
	let app = await startApplication(mariadb.url);
	const db = await createConnection(mariadb.url);
	const get = async (path) => {
		const response = await fetch(`${app.address}${path}`);
		const text = await response.text();
		if (!response.ok) throw new Error(`${path} answered ${response.status}: ${text.slice(0, 200)}`);
		return text;
	};
	const post = async (path, body) => {
		const response = await fetch(`${app.address}/api/v1/${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
		if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`);
		return response.json();
	};
	/** Home until everything is judged, so that what is measured is the rule and not the first time. */
	const settle = async () => {
		for (let i = 0; i < 400; i++) {
			await get('/');
			const [[{ n }]] = await db.query(
				'select count(*) n from banks b left join bank_judgements j on j.bank_id = b.id where j.summary is null'
			);
			if (Number(n) === 0) return;
			await pause(50);
		}
	};
	try {
		await fill(db, 1, 3, CELLS);
		await settle();
		await timed(20, () => get('/'));
		const few = p95(await timed(100, () => get('/')));
		await fill(db, 4, BANKS - 3, CELLS);
		const judging = performance.now();
		await settle();
		const judgedMs = (performance.now() - judging) / (BANKS - 3);
		await timed(20, () => get('/'));
		const many = p95(await timed(100, () => get('/')));
		say(
			many < BOUNDS.pageMs && many / few <= BOUNDS.homeRatio,
			`Home with ${BANKS} banks of ${CELLS} cells with ${READINGS} readings: p95 ${many.toFixed(0)} ms, with 3 banks ${few.toFixed(0)} ms, ratio ${(many / few).toFixed(2)} (bounds: < ${BOUNDS.pageMs} ms, ≤ ${BOUNDS.homeRatio}); judging one anew ${judgedMs.toFixed(0)} ms`
		);
		for (const stage of STAGES) {
			await get(`/banks/7/${stage}`);
			const ms = p95(await timed(40, (i) => get(`/banks/${7 + (i % 20)}/${stage}`)));
			say(ms < BOUNDS.pageMs, `a bank’s ${stage} page: p95 ${ms.toFixed(0)} ms (bound: < ${BOUNDS.pageMs} ms)`);
		}
		const [[{ cell }]] = await db.query('select min(id) cell from cells where delivery_id = 9');
		const write = p95(
			await timed(60, (i) => post('readings', { cellId: cell + i, quantity: 'restVoltage', rawText: '3.2911' }))
		);
		const refresh = p95(
			await timed(40, async (i) => {
				await post('readings', { cellId: cell + i, quantity: 'restVoltage', rawText: '3.2912' });
				await get('/api/v1/banks/9/verdicts');
			})
		);
		say(write < BOUNDS.pageMs, `a write: p95 ${write.toFixed(0)} ms (bound: < ${BOUNDS.pageMs} ms)`);
		say(
			refresh < BOUNDS.pageMs,
			`a write and the judgement after it: p95 ${refresh.toFixed(0)} ms (bound: < ${BOUNDS.pageMs} ms)`
		);
		const big = BANKS + 1;
		await fill(db, big, 1, MANY_CELLS);
		await get(`/api/v1/banks/${big}/verdicts`);
		for (const stage of STAGES) {
			await get(`/banks/${big}/${stage}`);
			const ms = p95(await timed(10, () => get(`/banks/${big}/${stage}`)));
			say(
				ms < BOUNDS.manyCellsMs,
				`the ${stage} page of a bank with ${MANY_CELLS} cells: p95 ${ms.toFixed(0)} ms (bound: < ${BOUNDS.manyCellsMs} ms)`
			);
		}
		await db.query(`insert into run_samples (run_id, t_s, voltage_v, current_a)
			select 1, seq, 3.3 - seq / 1e7, -20 from seq_1_to_${SAMPLES}`);
		app.server.kill('SIGKILL');
		app = await startApplication(mariadb.url);
		const {
			result: bytes,
			most,
			before
		} = await memoryDuring(app.server.pid, async () => {
			const response = await fetch(`${app.address}/api/v1/banks/1/export`);
			let size = 0;
			for await (const chunk of response.body) size += chunk.byteLength;
			return size;
		});
		say(
			most < BOUNDS.memoryMb,
			`a bank of ${SAMPLES / 1e6} million samples taken along (${(bytes / 1e6).toFixed(0)} MB): ${most.toFixed(0)} MB of memory, ${before.toFixed(0)} MB before (bound: < ${BOUNDS.memoryMb} MB)`
		);
		app.server.kill('SIGKILL');
		const source = await startApplication(mariadb.url);
		app = await startApplication(mariadb.url);
		const back = await memoryDuring(app.server.pid, async () => {
			const begun = performance.now();
			const file = await fetch(`${source.address}/api/v1/banks/1/export`);
			const response = await fetch(`${app.address}/api/v1/banks/import`, {
				method: 'POST',
				headers: { 'content-type': 'application/x-ndjson' },
				body: file.body,
				duplex: 'half'
			});
			if (response.status !== 201) throw new Error(`import answered ${response.status}: ${await response.text()}`);
			return (performance.now() - begun) / 1000;
		});
		source.server.kill('SIGKILL');
		say(
			back.most < BOUNDS.memoryMb,
			`and brought in again in ${back.result.toFixed(0)} s: ${back.most.toFixed(0)} MB of memory, ${back.before.toFixed(0)} MB before (bound: < ${BOUNDS.memoryMb} MB)`
		);
		return allHold;
	} finally {
		await db.end();
		app.server.kill('SIGKILL');
		await mariadb.stop();
		rmSync(folder, { recursive: true, force: true });
	}
}
