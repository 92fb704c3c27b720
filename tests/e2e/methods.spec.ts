import { restVoltageCurve } from '$lib/core/foundation/chemistry';
import { simulate } from '$lib/core/world/simulation';
import { expect, test, type Page } from '../support/e2e';

test.use({ actionTimeout: 15_000 });

interface Row {
	id: number;
	version: number;
	label: string;
}
const send = async (page: Page, method: 'post' | 'patch', path: string, data: object) => {
	const response = await page.request[method](`/api/v1/${path}`, { data });
	const body = await response.json();
	expect(response.ok(), JSON.stringify(body)).toBe(true);
	return body as Row;
};
async function crate(page: Page, name: string, series = 4) {
	const type = await send(page, 'post', 'cell-types', { name: `${name} cell`, chemistry: 'LFP', ratedAh: 100 });
	const bank = await send(page, 'post', 'banks', {
		name,
		bankUse: 'boat',
		chemistry: 'LFP',
		series,
		parallel: 1,
		cellTypeId: type.id
	});
	const delivery = await send(page, 'post', 'deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-11-01',
		cellCount: series,
		labelPrefix: 'M'
	});
	const { items } = await (await page.request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json();
	return { bankId: bank.id, base: `/banks/${bank.id}/balance`, cells: items as Row[] };
}
const open = async (page: Page, path: string) => {
	await page.goto(path);
	await page.waitForSelector('html[data-awake]');
};
/** A verdict as the page shows it. */
const told = (page: Page, text: string | RegExp) =>
	page.getByRole('heading', { name: text }).locator('visible=true').first();
/** Writes the next step down, or one of those besides it. */
async function writeStep(page: Page, figures: Record<string, string>, within = page.getByLabel('Next step')) {
	for (const [label, value] of Object.entries(figures)) await within.getByLabel(label).first().fill(value);
	await within.getByRole('button', { name: 'Write it down' }).click();
}
const iso = (hoursAgo: number) => new Date(Date.now() - hoursAgo * 3_600_000).toISOString();
const HOUR_S = 3600;

test('fast: a link that stayed in is caught, and nothing is joined before it is off', async ({ page }) => {
	const { base, bankId } = await crate(page, 'Fastnet');
	await open(page, `${base}/method`);
	await page.getByRole('link', { name: 'Step by step' }).last().click();
	await open(page, `${base}/steps?method=fast`);
	await page.getByLabel('Supply for side by side').fill('20');
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await writeStep(page, { Current: '50' });
	// The simulated string: one cell comes first, the charge ends at it.
	const { cells } = simulate({
		world: {
			chemistry: 'LFP',
			wiring: { kind: 'series' },
			cells: [0.5, 0.56, 0.49, 0.51].map((soc, id) => ({ id, soc, capacityAh: 100 }))
		},
		steps: [{ kind: 'charge', currentA: 20, until: { cellHighV: 3.63 } }],
		stepS: 20,
		recordEveryS: 60
	});
	const volts = [0, 1, 2, 3].map((i) => cells[i]!.voltageV.at(-1)!.toFixed(3)).join(' ');
	await writeStep(page, { 'Volts, in order': volts, Current: '20', Counted: '44' });
	await expect(told(page, 'Group 2 was full first')).toBeVisible();
	await page.getByLabel('Next step').getByRole('checkbox').check();
	await writeStep(page, { 'Volts, in order': '0 6.62 0' });
	await expect(told(page, /One pair is still linked in series/)).toBeVisible();
	const row = await send(page, 'post', 'balance-runs', { bankId, supplyA: 20, leadOhm: 0.01 });
	const refused = await page.request.patch(`/api/v1/balance-runs/${row.id}`, {
		data: { version: row.version, startedAt: new Date().toISOString() }
	});
	expect(refused.status()).toBe(409);
	await page.getByLabel('Next step').getByRole('checkbox').check();
	await writeStep(page, { 'Volts, in order': '0 0,02 0' });
	await expect(page.getByRole('link', { name: 'The charge side by side' })).toBeVisible();
	await expect(told(page, 'Every series link is off')).toBeVisible();
});

test('at the bottom: a lead that dropped volts is caught by the rebound; turns, rests and repeats are refused', async ({
	page
}) => {
	test.setTimeout(90_000);
	const { base, bankId, cells } = await crate(page, 'Fathom');
	/** What each comes to; of the third the meter sat on the load’s end of a lead that drops 0.35 V. */
	const ends = cells.map((_, i) => {
		const dropV = i === 2 ? 0.35 : 0;
		const run = simulate({
			world: { chemistry: 'LFP', cells: [{ id: 1, soc: 0.2, capacityAh: 100 }], wiring: { kind: 'loose' } },
			steps: [
				{ kind: 'discharge', currentA: 40, until: { cellLowV: 2.7 + dropV } },
				{ kind: 'rest', until: { durationS: HOUR_S } },
				{ kind: 'discharge', currentA: 3, until: { cellLowV: 2.7 + dropV } },
				{ kind: 'rest', until: { durationS: 12 * HOUR_S } }
			],
			stepS: 2,
			recordEveryS: 600
		});
		return run.cells[1]!.voltageV.at(-1)!;
	});
	await open(page, `${base}/steps?method=bottom`);
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await writeStep(page, { Read: '2.70', Current: '40' });
	await expect(
		page
			.getByText('M-02 first discharge')
			.or(page.getByText(/Discharge M-02/))
			.first()
	).toBeVisible();
	const { items } = await (await page.request.get(`/api/v1/method-runs?bankId=${bankId}`)).json();
	const methodRunId = (items as Row[])[0]!.id;
	const post = (step: string, i: number, more: object, hoursAgo: number) =>
		page.request.post('/api/v1/method-entries', {
			data: { methodRunId, step, cellId: cells[i]!.id, doneAt: iso(hoursAgo), ...more }
		});
	const early = await post('rested-1', 0, { voltageV: 2.95 }, 0);
	expect(early.status()).toBe(422);
	expect(JSON.stringify(await early.json())).toContain('not rested long enough');
	expect((await post('stage-1', 3, { voltageV: 2.7, currentA: 40 }, 0)).status()).toBe(422);
	expect((await post('stage-1', 0, { voltageV: 2.7, currentA: 40 }, 0)).status()).toBe(422);
	// The others as they were written down days ago: a run of its own, with its own dates.
	const old = await send(page, 'post', 'method-runs', {
		bankId,
		method: 'bottom',
		setup: {},
		cellIds: cells.map((c) => c.id)
	});
	const ago = (step: string, i: number, more: object, hoursAgo: number) =>
		send(page, 'post', 'method-entries', {
			methodRunId: old.id,
			step,
			cellId: cells[i]!.id,
			doneAt: iso(hoursAgo),
			...more
		});
	for (const [i, restedV] of ends.entries()) {
		await ago('stage-1', i, { voltageV: 2.7, currentA: 40 }, 60 - i);
		await ago('rested-1', i, { voltageV: 2.98 }, 58.5 - i);
		await ago('stage-2', i, { voltageV: 2.7, currentA: 3 }, 54.5 - i);
		await ago('rested-2', i, { voltageV: Number(restedV.toFixed(3)) }, 40 - i);
	}
	await open(page, `${base}/steps`);
	await expect(told(page, 'M-03 came back oddly')).toBeVisible();
	await expect(told(page, /Charge the set by/)).toBeVisible();
	await expect(page.getByText('M-01 came back oddly')).toHaveCount(0);
});

test('by a balancer: one that does nothing is caught by two nights, and smoke stops all', async ({ page }) => {
	const { base, bankId } = await crate(page, 'Fennel');
	await open(page, `${base}/steps?method=balancer`);
	await page.getByLabel('Balancing current, its limit').fill('0,5');
	await page.getByLabel('Hours a day near full').fill('10');
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await writeStep(page, { 'Volts, in order': '3.40 3.52 3.41 3.40', Current: '2' });
	await expect(told(page, /By the balancer: .* days/)).toBeVisible();
	const { items } = await (await page.request.get(`/api/v1/method-runs?bankId=${bankId}`)).json();
	const methodRunId = (items as Row[])[0]!.id;
	const high = [3.4, 3.52, 3.4, 3.4];
	for (const [step, hours] of [
		['off-evening', 44],
		['off-morning', 34],
		['on-evening', 20],
		['on-morning', 10]
	] as const)
		await send(page, 'post', 'method-entries', { methodRunId, step, volts: high, doneAt: iso(hours) });
	await open(page, `${base}/steps`);
	await expect(told(page, 'The balancer does not do what it should')).toBeVisible();
	await page.locator('summary', { hasText: 'smoke' }).click();
	const besides = page.getByLabel('Other steps').locator('details[open]');
	await besides.getByRole('button', { name: 'Write it down' }).click();
	await expect(told(page, 'Stop: the balancer smoked or was hot')).toBeVisible();
	await expect(page.getByLabel('Other steps')).toHaveCount(0);
	await writeStep(page, { 'In a few words': 'A lead had chafed; replaced.' });
	await expect(page.getByText('Stop: the balancer smoked or was hot')).toHaveCount(0);
});

test('ready-made: one that is turned round is caught before it is joined', async ({ page }) => {
	const { base } = await crate(page, 'Ferry');
	await open(page, `${base}/steps?method=ready-made`);
	await page.getByLabel('The batteries, from the negative').fill('Left, Right');
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await writeStep(page, { Read: '13,21' });
	await expect(page.getByLabel('Next step').getByText('Read Right')).toBeVisible();
	await writeStep(page, { Read: '-13.20' });
	await expect(told(page, /Right: joined by the print this is a short circuit/)).toBeVisible();
	await expect(page.getByText('Join them side by side')).toHaveCount(0);
});

test('side by side: a light that came too early, and a cell that sinks afterwards, are caught', async ({ page }) => {
	const { base, bankId, cells } = await crate(page, 'Fulmar');
	for (const { id } of cells)
		await send(page, 'post', 'readings', { cellId: id, quantity: 'restVoltage', rawText: '3.330', takenAt: iso(61) });
	const run = await send(page, 'post', 'balance-runs', {
		bankId,
		supplyA: 20,
		leadOhm: 0.005,
		cellIds: cells.map((c) => c.id)
	});
	const started = await send(page, 'patch', `balance-runs/${run.id}`, { version: run.version, startedAt: iso(60) });
	const log = (hoursAgo: number, more: object) =>
		send(page, 'post', 'balance-readings', { balanceRunId: run.id, readAt: iso(hoursAgo), supplyA: 0, ...more });
	await log(59, { supplyA: 20, supplyV: 3.4, cellV: 3.33 });
	await log(50, { stopped: true, cellV: 3.58 });
	await log(25, { cellV: Number(restVoltageCurve('LFP').at(0.6).toFixed(3)) });
	await open(page, `${base}/charge`);
	await expect(told(page, 'Not full, whatever its light says')).toBeVisible();
	// Charged on, to the tail.
	await log(20, { supplyA: 20, supplyV: 3.5, cellV: 3.45 });
	await log(8, { supplyA: 1, supplyV: 3.6, cellV: 3.598 });
	await log(7, { supplyA: 0.9, supplyV: 3.6, cellV: 3.599 });
	await send(page, 'patch', `balance-runs/${run.id}`, { version: started.version, endedAt: iso(6.5) });
	for (const [i, volts] of ['3.52', '3.51', '3.34', '3.52'].entries())
		await send(page, 'post', 'readings', {
			cellId: cells[i]!.id,
			quantity: 'restVoltage',
			rawText: volts,
			restS: 5 * 3600,
			takenAt: iso(1)
		});
	await open(page, `${base}/charge`);
	await expect(told(page, 'M-03 did not settle like a full cell')).toBeVisible();
});
