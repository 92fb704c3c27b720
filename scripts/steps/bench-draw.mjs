// The vessels as they play in a browser: what a frame takes from its tick, with a step by the worker, to the layout it ends in.
import { chromium } from '@playwright/test';
import { withApplication } from './bench-server.mjs';

const CELLS = 16;
const FRAMES = 200;
const BOUND_MS = 8;

async function testedCells({ post, list }) {
	const type = await post('cell-types', { name: 'Drawn', chemistry: 'LFP', ratedAh: 280 });
	const bank = await post('banks', {
		...{ name: 'Drawn', bankUse: 'cabin', chemistry: 'LFP', series: CELLS, parallel: 1, cellTypeId: type.id }
	});
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-01-02', cellCount: CELLS };
	const delivery = await post('deliveries', crate);
	const cells = await list(`cells?deliveryId=${delivery.id}`);
	for (const [i, cell] of cells.entries())
		await post('runs', { cellId: cell.id, capacityAh: 276 + i / 2, testedAt: '2026-01-03T10:00:00Z' });
	return bank.id;
}

/** @returns whether the bound holds */
export const benchDraw = () =>
	withApplication(async (site, api) => {
		const bankId = await testedCells(api);
		const browser = await chromium.launch({
			executablePath: '/usr/bin/chromium',
			args: ['--no-sandbox', '--disable-gpu', '--no-first-run']
		});
		try {
			const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
			await page.addInitScript(() => {
				window.frameTimes = [];
				let begun = 0;
				const every = window.setInterval;
				window.setInterval = (tick, ...more) =>
					every(
						() => {
							begun = performance.now();
							tick();
						},
						...more
					);
				addEventListener('DOMContentLoaded', () =>
					new MutationObserver((changes) => {
						if (begun === 0 || !changes.some((c) => c.target.classList?.contains('water'))) return;
						// Reading a box makes the page lay out what it has drawn.
						for (const svg of document.querySelectorAll('svg')) svg.getBoundingClientRect();
						window.frameTimes.push(performance.now() - begun);
						begun = 0;
					}).observe(document.documentElement, { subtree: true, attributes: true })
				);
			});
			await page.goto(`${site}/banks/${bankId}/balance/vessels`);
			await page.waitForSelector('html[data-awake]');
			await page.getByText(`your own ${CELLS}`).click();
			const shown = await page.locator('svg rect.vessel').count();
			const [down, up] = ['Run it down', 'Charge it'].map((name) => page.getByRole('button', { name }));
			let times = [];
			while (times.length < FRAMES) {
				for (const way of [down, up]) {
					await way.click();
					await page.waitForTimeout(2500);
					// It may pause by itself at the same moment, where a cell stops it.
					await page
						.getByRole('button', { name: 'Pause' })
						.click({ timeout: 200 })
						.catch(() => {});
				}
				times = await page.evaluate(() => window.frameTimes);
			}
			const sorted = [...times].sort((a, b) => a - b);
			const p95 = sorted[Math.floor(0.95 * sorted.length)];
			const holds = p95 <= BOUND_MS && shown === CELLS;
			console.log(
				`${holds ? 'holds ' : 'BROKEN'}  a frame of ${shown} vessels in a browser, from its tick to the layout (${times.length} frames): p95 ${p95.toFixed(1)} ms, median ${sorted[sorted.length >> 1].toFixed(1)} ms (bound: p95 ≤ ${BOUND_MS} ms)`
			);
			return holds;
		} finally {
			await browser.close();
		}
	});
