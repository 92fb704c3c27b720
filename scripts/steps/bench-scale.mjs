// The running application with many banks: what Home, the pages of a bank, a write and a whole record cost.
import { readFileSync } from 'node:fs';
import { READINGS, askerOf, fillBanks, p95, settle, startApplication, timed, withManyBanks } from './bench-banks.mjs';

const BANKS = 200;
const CELLS = 100;
const MANY_CELLS = 1000;
const SAMPLES = 2_000_000;
const STAGES = ['plan', 'receive', 'test', 'match', 'balance', 'limits', 'serve'];
const BOUNDS = { pageMs: 150, manyCellsMs: 400, homeRatio: 1.5, memoryMb: 300 };
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
export const benchScale = () =>
	withManyBanks('scale', async ({ db, url, say }) => {
		let app = await startApplication(url);
		const get = (path) => askerOf(app).get(path);
		const post = (path, body) => askerOf(app).post(path, body);
		try {
			await fillBanks(db, 1, 3, CELLS);
			await settle(db, get);
			await timed(20, () => get('/'));
			const few = p95(await timed(100, () => get('/')));
			await fillBanks(db, 4, BANKS - 3, CELLS);
			const judging = performance.now();
			await settle(db, get);
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
			const [own] = await db.query('select id from cells where delivery_id = 9 order by id');
			const write = p95(
				await timed(60, (i) => post('readings', { cellId: own[i].id, quantity: 'restVoltage', rawText: '3.2911' }))
			);
			const refresh = p95(
				await timed(40, async (i) => {
					await post('readings', { cellId: own[i].id, quantity: 'restVoltage', rawText: '3.2912' });
					await get('/api/v1/banks/9/verdicts');
				})
			);
			say(write < BOUNDS.pageMs, `a write: p95 ${write.toFixed(0)} ms (bound: < ${BOUNDS.pageMs} ms)`);
			say(
				refresh < BOUNDS.pageMs,
				`a write and the judgement after it: p95 ${refresh.toFixed(0)} ms (bound: < ${BOUNDS.pageMs} ms)`
			);
			const big = BANKS + 1;
			await fillBanks(db, big, 1, MANY_CELLS);
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
			app = await startApplication(url);
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
			const source = await startApplication(url);
			app = await startApplication(url);
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
		} finally {
			app.server.kill('SIGKILL');
		}
	});
