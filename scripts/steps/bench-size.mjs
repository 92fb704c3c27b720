// The running application with honest growth: many banks, years of checks, a workshop of many testers; alone, and while others work.
import {
	askerOf,
	fillBanks,
	fillChecks,
	fillTesters,
	p95,
	settle,
	startApplication,
	timed,
	withManyBanks
} from './bench-banks.mjs';
import { keepDoing, matching } from './bench-work.mjs';

const BANKS = 200;
const CELLS = 100;
const SERVED = { from: 1, count: 50, checks: 200 };
/** The cells of these banks were each run twice on so many testers: 2 000 runs in all. */
const WORKSHOP = { from: 191, count: 10, testers: 64 };
/** One bank of many cells, run twice each on as many testers. */
const LARGE = { bankId: BANKS + 1, cells: 1000 };
/** A bank none of whose cells was run yet. */
const WAITING = BANKS + 2;
const STAGES = ['plan', 'receive', 'test', 'match', 'balance', 'build', 'limits', 'prove', 'serve'];
/** Of a large bank's pages: a megabyte and more of drawn cells; of a calendar: its timetable is searched for on a thread. */
const BOUNDS = { aloneMs: 150, busyMs: 400, healthMs: 50, large: 10, searched: 4 };
const OF_EACH = 4;

/** @returns whether every bound holds */
export const benchSize = () =>
	withManyBanks('size', async ({ db, url, say }) => {
		const app = await startApplication(url);
		const { get, post } = askerOf(app);
		try {
			await fillBanks(db, 1, BANKS, CELLS);
			await fillChecks(db, SERVED.from, SERVED.count, SERVED.checks);
			await fillBanks(db, WAITING, 1, CELLS);
			await db.query(`delete r from runs r join cells c on c.id = r.cell_id where c.delivery_id = ${WAITING}`);
			await fillTesters(db, WORKSHOP.from, WORKSHOP.count, WORKSHOP.testers);
			await fillBanks(db, LARGE.bankId, 1, LARGE.cells);
			await fillTesters(db, LARGE.bankId, 1, WORKSHOP.testers);
			await db.query('analyze table banks, deliveries, cells, runs, readings, candidates, service_checks');
			const begun = performance.now();
			const judging = keepDoing(() => get('/api/v1/health'), 1);
			const health = timed(400, () => get('/api/v1/health'));
			await settle(db, get);
			const healthMs = p95(await health);
			await judging();
			say(
				healthMs < BOUNDS.healthMs,
				`${BANKS + 1} banks, ${SERVED.count} of them with ${SERVED.checks} checks, ${WORKSHOP.count} with ${WORKSHOP.testers} testers and one of ${LARGE.cells} cells, judged for the first time in ${((performance.now() - begun) / 1000).toFixed(0)} s; health meanwhile: p95 ${healthMs.toFixed(0)} ms (bound: < ${BOUNDS.healthMs} ms)`
			);
			/** Cells of a bank, which is judged anew when one of them is written to. */
			const cellsOf = async (bankId) =>
				(await db.query('select id from cells where delivery_id = ? order by id', [bankId]))[0].map((row) => row.id);
			const own = await cellsOf(90);
			const others = await Promise.all(Array.from({ length: OF_EACH }, (_, at) => cellsOf(93 + 2 * at)));
			const asked = {
				Home: () => get('/'),
				'search in the stock': (i) => get(`/stock?q=C-00${10 + (i % 80)}`),
				...Object.fromEntries(
					STAGES.map((stage) => [
						`the ${stage} page of a bank in service`,
						(i) => get(`/banks/${1 + (i % 50)}/${stage}`)
					])
				),
				...Object.fromEntries(
					['test', 'match', 'receive'].map((stage) => [
						`the ${stage} page of the workshop`,
						(i) => get(`/banks/${WORKSHOP.from + (i % WORKSHOP.count)}/${stage}`)
					])
				),
				...Object.fromEntries(
					['test', 'match', 'receive'].map((stage) => [
						`the ${stage} page of a bank of ${LARGE.cells} cells`,
						() => get(`/banks/${LARGE.bankId}/${stage}`)
					])
				),
				'the test queue as a calendar': () => get(`/api/v1/banks/${WAITING}/test-queue.ics`),
				'a write and the judgement after it': async (i) => {
					await post('readings', { cellId: own[i % own.length], quantity: 'restVoltage', rawText: '3.2912' });
					await get('/api/v1/banks/90/verdicts');
				}
			};
			const measure = async (turns, boundMs, when) => {
				for (const [name, work] of Object.entries(asked)) {
					await work(0);
					const ms = p95(await timed(turns, work));
					const times = name.includes(`${LARGE.cells} cells`)
						? BOUNDS.large
						: name.includes('calendar')
							? BOUNDS.searched
							: 1;
					say(ms < boundMs * times, `${name}, ${when}: p95 ${ms.toFixed(0)} ms (bound: < ${boundMs * times} ms)`);
				}
			};
			await measure(40, BOUNDS.aloneMs, 'alone');
			const file = await get('/api/v1/banks/120/export');
			const stops = [
				keepDoing(async (at) => {
					await post('readings', { cellId: others[at][0], quantity: 'restVoltage', rawText: '3.2913' });
					await get(`/api/v1/banks/${93 + 2 * at}/verdicts`);
				}, OF_EACH),
				keepDoing(() => post('match', matching), OF_EACH),
				keepDoing(
					() =>
						fetch(`${app.address}/api/v1/banks/import`, {
							method: 'POST',
							headers: { 'content-type': 'application/x-ndjson' },
							body: file
						}).then((r) => r.text()),
					1
				)
			];
			await measure(20, BOUNDS.busyMs, 'busy');
			const [judged, matched, imported] = await Promise.all(stops.map((stop) => stop()));
			console.log(`        meanwhile ${judged} judgements, ${matched} matchings and ${imported} imports were done`);
		} finally {
			app.server.kill('SIGKILL');
		}
	});
