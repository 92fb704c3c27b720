// Memory: ten minutes of all that people and programs ask for must not make the server grow.
import { readFileSync } from 'node:fs';
import { askerOf, fillBanks, fillChecks, settle, startApplication, withManyBanks } from './bench-banks.mjs';
import { keepDoing, matching } from './bench-work.mjs';

const BANKS = 40;
const CELLS = 100;
const SERVED = 20;
const MINUTES = 10;
const AT_ONCE = 8;
const MAX_TIMES = 1.5;
/** Longer than a thread waits for work. */
const IDLE_MS = 30_000;
const MEGABYTE = 1 << 20;
const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/** Memory a process holds, MB. */
const heldMb = (pid) =>
	Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) * (1024 / MEGABYTE);

/** @returns whether memory stays within its bound */
export const benchGrowth = () =>
	withManyBanks('growth', async ({ db, url, say }) => {
		const app = await startApplication(url);
		const { get, post } = askerOf(app);
		const refused = (path, body) =>
			post(path, body).then(
				() => undefined,
				() => undefined
			);
		try {
			await fillBanks(db, 1, BANKS, CELLS);
			await fillChecks(db, 1, SERVED, 50);
			await settle(db, get);
			const pages = ['plan', 'receive', 'test', 'match', 'balance', 'build', 'limits', 'prove', 'serve'];
			const bank = (i) => 1 + ((i * 7) % BANKS);
			for (const page of pages) await get(`/banks/1/${page}`);
			await pause(5000);
			const startMb = heldMb(app.server.pid);
			const file = await get(`/api/v1/banks/${BANKS}/export`);
			const asked = [
				() => get('/'),
				(i) => get(`/banks/${bank(i)}/${pages[i % pages.length]}`),
				(i) => get(`/stock?q=C-00${10 + (i % 80)}`),
				(i) =>
					post('readings', { cellId: 1 + (i % (BANKS * CELLS)), quantity: 'restVoltage', rawText: `3.29${i % 10}` }),
				(i) => get(`/api/v1/banks/${bank(i)}/verdicts`),
				(i) => get(`/api/v1/banks/${bank(i)}/where-was-i`),
				(i) =>
					post('fade', {
						ratedAh: 100,
						endFraction: 0.8,
						observations: [{ ageYears: 1 + (i % 9), efc: 200, capacityAh: 97, sdAh: 1 }]
					}),
				(i) => refused('nonsense', { sent: i }),
				() => refused('witnesses', { chemistry: 'LFP', items: [[[]]] }),
				(i) => (i % 50 === 0 ? post('match', { ...matching, timeLimitS: 1 }) : get('/api/v1/due')),
				(i) =>
					i % 200 === 0
						? fetch(`${app.address}/api/v1/banks/import`, {
								method: 'POST',
								headers: { 'content-type': 'application/x-ndjson' },
								body: file
							}).then((r) => r.text())
						: get('/api/v1/health')
			];
			let i = 0;
			const stop = keepDoing(() => asked[i++ % asked.length](i), AT_ONCE);
			let mostMb = 0;
			for (let look = 0; look < MINUTES * 12; look++) {
				await pause(5000);
				mostMb = Math.max(mostMb, heldMb(app.server.pid));
			}
			const times = await stop();
			// Threads that nobody needs any more end by themselves.
			await pause(IDLE_MS);
			const endMb = heldMb(app.server.pid);
			say(
				endMb < startMb * MAX_TIMES,
				`memory after ${MINUTES} minutes and ${times} requests: ${endMb.toFixed(0)} MB, ${(endMb / startMb).toFixed(2)} times the ${startMb.toFixed(0)} MB of the start (bound: < ${MAX_TIMES} times); most meanwhile ${mostMb.toFixed(0)} MB`
			);
		} finally {
			app.server.kill('SIGKILL');
		}
	});
