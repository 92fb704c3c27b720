import { benchByHand, untilSo, type ByHand } from '../support/bench-by-hand';
import { benchPort, expect, test, type Page } from '../support/e2e';

test.use({ actionTimeout: 15_000 });
test.describe.configure({ timeout: 150_000 });

interface Row {
	id: number;
	version: number;
}
let hand: ByHand;
test.beforeEach(async () => {
	hand = await benchByHand(benchPort());
});
test.afterEach(async () => {
	await hand.off();
	hand.close();
});

/** A crate with something hidden in it on the simulated bench, and the bank that rehearses it. */
async function rehearse(page: Page, name: string, cells: object[], more: object = {}) {
	const scenario = {
		format: 'kind-ember-scenario',
		formatVersion: 1,
		name,
		story: 'Something is hidden here.',
		seed: 11,
		chemistry: 'LFP',
		ratedAh: 20,
		series: cells.length,
		parallel: 1,
		timeFactor: 1000,
		cells: cells.map((c, i) => ({ label: `R-0${i + 1}`, ...c })),
		...more
	};
	const response = await page.request.post('/api/v1/rehearsals', { data: { scenario } });
	const bank = (await response.json()) as Row;
	expect(response.ok(), JSON.stringify(bank)).toBe(true);
	return { bankId: bank.id, base: `/banks/${bank.id}/balance`, all: cells.map((_, i) => [i]) };
}
const told = (page: Page, text: string | RegExp) =>
	page.getByRole('heading', { name: text }).locator('visible=true').first();
const nextStep = (page: Page) => page.getByLabel('Next step');
async function writeStep(page: Page, figures: Record<string, string> = {}, within = nextStep(page)) {
	for (const [label, value] of Object.entries(figures)) await within.getByLabel(label).first().fill(value);
	const written = page.waitForResponse((r) => r.url().endsWith('/method-entries') && r.request().method() === 'POST');
	await within.getByRole('button', { name: 'Write it down' }).click();
	const answer = await written;
	expect(answer.status(), await answer.text()).toBe(201);
}

test('fast: the string is charged to its first full group, and a link that stayed in is caught', async ({ page }) => {
	const { base, all } = await rehearse(page, 'Fast', [{ soc: 0.88 }, { soc: 0.94 }, { soc: 0.87 }, { soc: 0.89 }]);
	await page.goto(`${base}/steps?method=fast`);
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await hand.wire('series', all);
	await hand.clip('SUPP', 'pack');
	await hand.pace(200);
	await hand.charge(14.6, 10);
	await writeStep(page, { Current: '10' });
	await untilSo(async () => {
		// A bench that runs fast waits for whoever watches its supply.
		await hand.supply();
		const highest = Math.max(...(await hand.groups()));
		if (highest > 3.39) await hand.pace(20);
		return highest > 3.6;
	});
	await hand.pace(1);
	await nextStep(page)
		.getByRole('button', { name: /^Read them by/ })
		.click();
	await expect(nextStep(page).getByLabel('Volts, in order')).not.toHaveValue('');
	await writeStep(page);
	await hand.off();
	await expect(told(page, 'Group 2 was full first')).toBeVisible();
	// Taken apart, but for the link between the second and the third.
	await hand.wire('series', [[1], [2]], { plugged: false });
	const linked = await hand.volts('pack');
	const apart = await hand.volts(null);
	await nextStep(page).getByRole('checkbox').check();
	await writeStep(page, { 'Volts, in order': `${apart} ${linked} ${apart}` });
	await expect(told(page, /One pair is still linked in series/)).toBeVisible();
	await hand.wire('loose');
	await nextStep(page).getByRole('checkbox').check();
	await writeStep(page, {
		'Volts, in order': Array(3)
			.fill(await hand.volts(null))
			.join(' ')
	});
	await expect(told(page, 'Every series link is off')).toBeVisible();
});

test('at the bottom: whoever does what is said, by the load’s own display on a bad clip, is caught', async ({
	page
}) => {
	const clipOhm = 0.6;
	const { base } = await rehearse(page, 'Bottom', [{ soc: 0.12 }, { soc: 0.13 }, { soc: 0.11 }], {
		load: { leadOhm: clipOhm }
	});
	await hand.pace(1);
	await page.goto(`${base}/steps?method=bottom`);
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	const next = nextStep(page);
	for (let written = 0; written < 12;) {
		const says = (await next.locator('p.text-lg').textContent())!;
		if (await next.getByText('Not before').count()) {
			await hand.skip(says.includes('an hour') ? 1 : 12);
			await page.reload();
			continue;
		}
		const label = /R-0\d/.exec(says)![0];
		const cell = Number(label.slice(-1)) - 1;
		if (says.startsWith('Discharge')) {
			const amps = says.includes('again') ? 0.6 : 1;
			await hand.clip('LOAD', { cell });
			// Of the second the load’s display was believed; with the others a meter sat on the cell.
			await hand.pace(3000);
			await hand.dischargeTo(2.7 - (cell === 1 ? 0 : clipOhm * amps), amps);
			await hand.pace(1);
			// Meanwhile another’s rest may be over, and stand first.
			await page.reload();
			const besides = page.getByLabel('Other steps').locator('details').filter({ hasText: says });
			if (await besides.count()) await besides.locator('summary').click();
			await writeStep(page, { Read: '2.70', Current: String(amps) }, (await besides.count()) ? besides : next);
		} else {
			await next.getByRole('button', { name: /^Read it by/ }).click();
			await expect(next.getByLabel('Read').first()).not.toHaveValue('');
			await writeStep(page);
		}
		await expect(page.getByLabel('What was done').getByRole('listitem')).toHaveCount(++written);
	}
	await expect(told(page, 'R-02 came back oddly')).toBeVisible();
	await expect(page.getByText('R-01 came back oddly')).toHaveCount(0);
	await expect(page.getByText('R-03 came back oddly')).toHaveCount(0);
	await expect(told(page, /Charge the set by/)).toBeVisible();
});

test('ready-made: one whose plus and minus are exchanged is caught before it is joined', async ({ page }) => {
	const { base } = await rehearse(page, 'Ready', Array(4).fill({ soc: 0.5 }), { series: 4 });
	await page.goto(`${base}/steps?method=ready-made`);
	await page.getByLabel('The batteries, from the negative').fill('Left, Right');
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await hand.wire('series', [[0], [1], [2], [3]]);
	await writeStep(page, { Read: String(await hand.volts('pack')) });
	await expect(nextStep(page).getByText('Read Right')).toBeVisible();
	// Its print is believed: red on what it calls plus.
	await writeStep(page, { Read: String(-(await hand.volts('pack'))) });
	await expect(told(page, /Right: joined by the print this is a short circuit/)).toBeVisible();
});

test('by a balancer: Ah apart from the log of a charge, and one that does nothing is caught by two nights', async ({
	page
}) => {
	const { base, all } = await rehearse(
		page,
		'Balancer',
		[{ soc: 0.95 }, { soc: 0.96 }, { soc: 0.951 }, { soc: 0.952 }],
		{ bms: { balancer: null } }
	);
	await page.goto(`${base}/steps?method=balancer`);
	await page.getByLabel('Balancing current, its limit').fill('1');
	await page.getByLabel('Hours a day near full').fill('10');
	await page.getByRole('button', { name: 'Begin step by step' }).click();
	await hand.wire('series', all);
	await hand.clip('SUPP', 'pack');
	/** Charged until the first is full, by a supply that watches them. @returns the log of it */
	const full = async () => {
		const lines = ['time,current,group 1,group 2,group 3,group 4'];
		await hand.pace(60);
		await hand.charge(14.6, 2);
		await untilSo(async () => {
			const { amps } = await hand.supply();
			const volts = await hand.groups();
			lines.push([new Date(await hand.nowMs()).toISOString(), amps, ...volts].join(','));
			return Math.max(...volts) > 3.58;
		});
		await hand.pace(1);
		await hand.off();
		return lines.join('\n');
	};
	const log = await full();
	await nextStep(page)
		.getByLabel('Log of read')
		.setInputFiles({ name: 'charge.csv', mimeType: 'text/csv', buffer: Buffer.from(log) });
	await expect(nextStep(page).getByText(/the Ah between the groups/)).toBeVisible();
	await writeStep(page);
	await expect(told(page, /By the balancer: .* days/)).toBeVisible();
	// A hundredth of twenty Ah parts the fullest from the emptiest.
	await expect(page.getByText('0.2 Ah apart; it moves').locator('visible=true').first()).toBeVisible();
	const night = async (step: string) => {
		await page.reload();
		const form = page.getByLabel('Other steps').locator('details').filter({ hasText: step });
		await form.locator('summary').click();
		await form.getByRole('button', { name: /^Read them by/ }).click();
		await expect(form.getByLabel('Volts, in order')).not.toHaveValue('');
		await writeStep(page, {}, form);
	};
	for (const [evening, morning] of [
		['evening, off', 'morning, off'],
		['evening, on', 'morning, on']
	] as const) {
		await night(evening);
		await hand.skip(10);
		await night(morning);
		if (evening === 'evening, off') await full();
	}
	await expect(told(page, 'The balancer does not do what it should')).toBeVisible();
});

test('side by side: by what the bench reads until its tail; a cell that leaks is caught when they settle', async ({
	page
}) => {
	const { bankId, base, all } = await rehearse(
		page,
		'Side',
		[{ soc: 0.9 }, { soc: 0.92, selfDischargePerMonth: 0.5 }, { soc: 0.91 }, { soc: 0.9 }],
		{ timeFactor: 1 }
	);
	const [delivery] = (await (await page.request.get(`/api/v1/deliveries?bankId=${bankId}`)).json()).items as Row[];
	const cells = (await (await page.request.get(`/api/v1/cells?deliveryId=${delivery!.id}`)).json()).items as Row[];
	const send = async (method: 'post' | 'patch', path: string, data: object) => {
		const response = await page.request[method](`/api/v1/${path}`, { data });
		expect(response.ok(), await response.text()).toBe(true);
		return (await response.json()) as Row;
	};
	const now = async () => new Date(await hand.nowMs()).toISOString();
	// No row is begun unread.
	for (const [i, cell] of cells.entries())
		await send('post', 'readings', {
			cellId: cell.id,
			quantity: 'restVoltage',
			rawText: (await hand.volts({ cell: i })).toFixed(3),
			takenAt: await now()
		});
	const run = await send('post', 'balance-runs', {
		bankId,
		supplyA: 20,
		leadOhm: 0.004,
		cellIds: cells.map((c) => c.id)
	});
	const started = await send('patch', `balance-runs/${run.id}`, { version: run.version, startedAt: await now() });
	await hand.wire('parallel', [all.flat()]);
	await hand.clip('SUPP', 'pack');
	await hand.charge(3.6, 20);
	await hand.pace(600);
	let looks = 0;
	let tailMs = 0;
	await untilSo(async () => {
		const { volts, amps } = await hand.supply();
		if (looks++ % 4 === 0)
			await send('post', 'balance-readings', {
				balanceRunId: run.id,
				readAt: await now(),
				supplyA: amps,
				supplyV: volts,
				cellV: await hand.volts({ cell: 0 })
			});
		// At its tail, and held there for forty minutes.
		if (amps < 0.39) tailMs ||= await hand.nowMs();
		return tailMs > 0 && (await hand.nowMs()) > tailMs + 2_400_000;
	});
	await hand.pace(1);
	await hand.off();
	await send('patch', `balance-runs/${run.id}`, { version: started.version, endedAt: await now() });
	await hand.wire('loose');
	await hand.skip(13 * 24);
	for (const [i, cell] of cells.entries())
		await send('post', 'readings', {
			cellId: cell.id,
			quantity: 'restVoltage',
			rawText: (await hand.volts({ cell: i })).toFixed(3),
			restS: 13 * 24 * 3600,
			takenAt: await now()
		});
	await page.goto(`${base}/charge`);
	await expect(told(page, 'R-02 did not settle like a full cell')).toBeVisible();
	for (const label of ['R-01', 'R-03', 'R-04'])
		await expect(page.getByText(`${label} did not settle like a full cell`)).toHaveCount(0);
});
