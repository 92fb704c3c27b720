// Many banks, made in the database itself, and the application on them: what the benchmarks of size share.
import { createConnection } from 'mysql2/promise';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './machine.mjs';
import { freePort, startPrivateMariadb } from './private-mariadb.mjs';
import { serverEnvironment, serverFile } from './server.mjs';

/** Readings of each cell. */
export const READINGS = 10;
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
export const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)];

/** Milliseconds each of so many turns took, one after the other. */
export async function timed(count, work) {
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
export async function fillBanks(db, from, count, cells) {
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

/** Banks that have been made are in service for years, each checked at the end of so many charges. */
export async function fillChecks(db, from, count, checks) {
	const to = from + count - 1;
	await db.query(`update banks set in_service_on = ${NOW} - interval 5 year where id between ${from} and ${to}`);
	await db.query(`insert into service_checks
		(bank_id, battery, checked_at, context, current_a, group_voltages_v, ${STAMPS})
		select b.seq, 1, ${NOW} - interval (9 * c.seq) day, 'full', 1.2,
			concat('[3.452,', 3.45 - (c.seq % 5) / 1000, ',3.449,', 3.455 - c.seq / 20000, ']'), ${STAMPED}
		from seq_${from}_to_${to} b join seq_1_to_${checks} c`);
}

/** A workshop: every cell of banks that have been made is run on two of so many testers. */
export async function fillTesters(db, from, count, testers) {
	const own = `c.delivery_id between ${from} and ${from + count - 1}`;
	await db.query(
		`update runs r join cells c on c.id = r.cell_id set r.tester = concat('T', c.id % ${testers}) where ${own}`
	);
	await db.query(`insert into runs (cell_id, source, capacity_ah, sd_ah, temperature_c, tester, tested_at, ${STAMPS})
		select c.id, 'hand', 100 + (c.id % 30) / 10 + (c.position % 7 - 3) / 10, 1.05, 25,
			concat('T', (c.id * 7 + 3) % ${testers}), ${NOW} - interval 20 day, ${STAMPED}
		from cells c where ${own}`);
}

/** The application on a database of its own. */
export async function startApplication(url) {
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

/** The application's pages and API, as somebody asks who wants a good answer. */
export function askerOf(app) {
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
	return { get, post };
}

/** Home until everything is judged, so that what is measured is the rule and not the first time. */
export async function settle(db, get) {
	for (let i = 0; i < 2000; i++) {
		await get('/');
		const [[{ n }]] = await db.query(
			'select count(*) n from banks b left join bank_judgements j on j.bank_id = b.id where j.summary is null'
		);
		if (Number(n) === 0) return;
		await pause(100);
	}
	throw new Error('The banks were not judged within minutes');
}

/**
 * Does some work with a database of its own. @param work gets the connection, its address, and how to say whether a bound holds
 * @returns whether every bound held
 */
export async function withManyBanks(name, work) {
	let allHold = true;
	const say = (holds, text) => {
		allHold &&= holds;
		console.log(`${holds ? 'holds ' : 'BROKEN'}  ${text}`);
	};
	const folder = mkdtempSync(join(tmpdir(), `kind-ember-${name}-`));
	const mariadb = await startPrivateMariadb(folder, { passing: true });
	const db = await createConnection(mariadb.url);
	try {
		await work({ db, url: mariadb.url, say });
		return allHold;
	} finally {
		await db.end();
		await mariadb.stop();
		rmSync(folder, { recursive: true, force: true });
	}
}
