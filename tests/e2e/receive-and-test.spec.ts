import { toBuffer } from 'qrcode';
import sharp from 'sharp';
import { expect, test, type Page } from '../support/e2e';

test.use({ actionTimeout: 15_000 });

const CELLS = 20;
/** A bank with a crate of twenty cells that nobody has looked at. */
async function freshCrate(page: Page, name: string): Promise<{ base: string; cells: { id: number; label: string }[] }> {
	const send = async (kind: string, data: object) =>
		(await page.request.post(`/api/v1/${kind}`, { data })).json() as Promise<{ id: number }>;
	const type = await send('cell-types', {
		name: `${name} cell`,
		chemistry: 'LFP',
		ratedAh: 230,
		thicknessMm: 54,
		widthMm: 174,
		heightMm: 207,
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5
	});
	const bank = await send('banks', {
		name,
		bankUse: 'cabin',
		chemistry: 'LFP',
		series: 16,
		parallel: 1,
		cellTypeId: type.id
	});
	const delivery = await send('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-11-20',
		cellCount: CELLS,
		labelPrefix: 'Q',
		cellPrice: 80,
		promisedAh: 230,
		promisedClause: 'minimum'
	});
	const { items } = await (await page.request.get(`/api/v1/cells?deliveryId=${delivery.id}&size=100`)).json();
	return { base: `/banks/${bank.id}`, cells: items };
}
const codeOf = (i: number) => `0MECB23QUAY014G1E${String(5000 + i).padStart(7, '0')}`;

/** A crate from above: a code on each of so many cells, in rows, not quite straight. */
async function cratePhoto(count: number): Promise<Buffer> {
	const [columns, step, size] = [5, 300, 190];
	const codes = await Promise.all(
		Array.from({ length: count }, async (_, i) => ({
			input: await toBuffer(codeOf(i), { margin: 2, width: size }),
			left: 60 + step * (i % columns) + ((i * 7) % 19),
			top: 50 + step * Math.floor(i / columns) + ((i * 11) % 17)
		}))
	);
	return sharp({ create: { width: 1560, height: 1260, channels: 3, background: '#8d8880' } })
		.composite(codes)
		.jpeg({ quality: 90 })
		.toBuffer();
}

test('the codes of a crate are read off one photo, put to the cells by where they lie, and kept', async ({ page }) => {
	test.setTimeout(180_000);
	const { base } = await freshCrate(page, 'Kelp');
	await page.goto(`${base}/receive/codes`);
	await page.waitForSelector('html[data-awake]');
	const file = { name: 'crate.jpg', mimeType: 'image/jpeg', buffer: await cratePhoto(CELLS) };
	await page.locator('input[type=file]').setInputFiles(file);
	await expect(page.getByText(`${CELLS} codes found`)).toBeVisible({ timeout: 120_000 });
	await page.getByRole('button', { name: 'Keep them' }).click();
	await expect(page.getByText(`${CELLS} of ${CELLS} codes read`)).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: /^Q-07/ }).click();
	await expect(page.getByRole('textbox', { name: 'Code of Q-07' })).toHaveValue(codeOf(6));
	await expect(page.getByText('14 Jan 2026')).toBeVisible();
	// A letter that is none of the rule is named, and what was typed stays.
	await page.getByRole('textbox', { name: 'Code of Q-07' }).fill(codeOf(6).replace('G1E', 'O1E'));
	await expect(page.getByText(/is it 0/)).toBeVisible();
	await page.getByRole('textbox', { name: 'Code of Q-07' }).press('Enter');
	await expect(page.getByText('Q-07: nothing is read from its code').filter({ visible: true }).first()).toBeVisible();
});

test('inspected on a phone: no record lifts a leak, a mistaken answer is changed, the rest are sound in one go', async ({
	page
}) => {
	test.setTimeout(120_000);
	await page.setViewportSize({ width: 390, height: 844 });
	const { base, cells } = await freshCrate(page, 'Dulse');
	await page.goto(`${base}/receive/look`);
	await page.waitForSelector('html[data-awake]');
	const ask = (question: string) => page.getByRole('group', { name: question });
	await ask('Case').getByRole('button', { name: 'wet or crusted' }).click();
	await expect(page.getByRole('alert')).toContainText('must not be used: it leaks');
	const photo = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#445' } })
		.jpeg()
		.toBuffer();
	await page.locator('input[type=file]').setInputFiles({ name: 'wet.jpg', mimeType: 'image/jpeg', buffer: photo });
	await expect(page.getByRole('img', { name: /Q-01.*wet.jpg/ })).toBeVisible({ timeout: 20_000 });
	await page.getByRole('button', { name: 'Mark all remaining cells sound' }).click();
	await expect(page.getByText(`${CELLS} of ${CELLS} done`)).toBeVisible({ timeout: 30_000 });
	// It is said wherever this cell is met.
	const { items } = await (await page.request.get(`/api/v1${base}/verdicts`)).json();
	expect(items.find((v: { code: string }) => v.code === 'inspection-stop')).toMatchObject({
		warmth: 'stop',
		subject: { id: cells[0]!.id }
	});
	await page.getByRole('button', { name: /^Q-01/ }).first().click();
	await page.getByLabel('What was done with it').fill('Wiped and left outdoors');
	await page.getByRole('button', { name: 'Record what was done' }).click();
	await expect(page.getByLabel('What was done with it')).toHaveValue('');
	await expect(page.getByRole('alert')).toContainText('must not be used');
	// It was rain from the lid: the answer itself is changed.
	await ask('Case').getByRole('button', { name: 'dry' }).click();
	await expect(page.getByRole('alert')).toBeHidden();
});

test('a run by three notes tells when to look again, goes on after a reload, and becomes a run', async ({ page }) => {
	test.setTimeout(120_000);
	const { base, cells } = await freshCrate(page, 'Samphire');
	await page.goto(`${base}/test/notes`);
	await page.waitForSelector('html[data-awake]');
	const fill = async (label: string, value: string, nth = 0) => {
		await page.getByLabel(label, { exact: false }).nth(nth).fill(value);
		await page.getByLabel(label, { exact: false }).nth(nth).press('Tab');
	};
	await fill('Discharged with', '23');
	const notes = [
		['0.5', '11.5', '3.32'],
		['5', '115', '3.278'],
		['9.4', '216', '3.12']
	];
	for (const [i, [hours, ah, volts]] of notes.entries()) {
		await page.getByRole('button', { name: i ? 'Another line, now' : 'First line, now' }).click();
		await expect(page.getByLabel('After')).toHaveCount(i + 1);
		await fill('After', hours!, i);
		await fill('Shown', ah!, i);
		await fill('Read', volts!, i);
	}
	await expect(page.getByText('Look again')).toBeVisible({ timeout: 30_000 });
	await page.reload();
	await expect(page.getByLabel('After')).toHaveCount(3);
	await expect(page.getByText('Look again')).toBeVisible({ timeout: 30_000 });
	// What was stored before goes on being changed.
	const taken = page.waitForResponse((r) => r.request().method() === 'PATCH' && r.url().includes('noted-runs'));
	await page.getByLabel('it was charged to its tail before').check();
	expect((await taken).status()).toBe(200);
	await page.getByRole('button', { name: 'It has ended: keep it as a run' }).click();
	await expect(page.getByText(`Run of ${cells[0]!.label} stored.`)).toBeVisible();
	const { items } = await (await page.request.get(`/api/v1/runs?cellId=${cells[0]!.id}`)).json();
	expect(items).toHaveLength(1);
	expect(items[0].capacityAh).toBeGreaterThan(217);
	expect(items[0].capacityAh).toBeLessThan(235);
});

test('a run by notes rings on another page when it is to be read again', async ({ page }) => {
	const { base, cells } = await freshCrate(page, 'Teasel');
	await page.request.post('/api/v1/noted-runs', {
		data: {
			cellId: cells[2]!.id,
			startedAt: new Date(Date.now() - 3_600_000).toISOString(),
			currentA: 20,
			cutoffV: 2.5,
			notes: [],
			lookAgainAt: new Date(Date.now() + 4000).toISOString()
		}
	});
	await page.goto('/stock');
	const told = page.getByText(/Run of Q-?03 by notes, Teasel/);
	await expect(told).toBeVisible({ timeout: 30_000 });
	await page.getByRole('button', { name: 'Open' }).first().click();
	await page.waitForURL(`**${base}/test/notes`);
	// What has rung does not ring again.
	await page.goto('/stock');
	await page.waitForTimeout(1500);
	await expect(told).toHaveCount(0);
});

test('one live run at two thousand times by a protocol, paused for a while, gives its capacity', async ({ page }) => {
	test.setTimeout(300_000);
	const made = await page.request.post('/api/v1/rehearsals', { data: { ready: 'first-crate' } });
	const { id } = (await made.json()) as { id: number };
	await page.request.post(`/api/v1/banks/${id}/rehearsal/hands`, { data: { timeFactor: 20 } });
	await page.goto(`/banks/${id}/test`);
	await page.waitForSelector('html[data-awake]');
	await expect(page.getByRole('heading', { name: /Run R-01 live/ })).toBeVisible();
	await page.getByRole('group', { name: 'Protocol' }).getByRole('button', { name: 'Quick' }).first().click();
	await page.getByRole('button', { name: 'Show the values' }).click();
	await page.waitForURL('**/live/*', { timeout: 60_000 });
	const switchOn = async (button: string) => {
		await page.getByRole('button', { name: button }).first().click();
		await page.getByRole('dialog').getByRole('button', { name: 'Switch on', exact: true }).click();
	};
	await switchOn('Switch on …');
	await page.getByRole('button', { name: 'Pause' }).click();
	await expect(page.getByRole('region', { name: 'Now' }).getByText('waits for you')).toBeVisible();
	await page.request.post(`/api/v1/banks/${id}/rehearsal/hands`, { data: { timeFactor: 2000 } });
	await switchOn('Go on …');
	await expect(page.getByText('The capacity has been entered.')).toBeVisible({ timeout: 200_000 });
	const list = async (path: string) => (await (await page.request.get(`/api/v1/${path}`)).json()).items;
	const [crate] = await list(`deliveries?bankId=${id}`);
	const cells = (await list(`cells?deliveryId=${crate.id}`)) as { id: number; label: string }[];
	const first = cells.find((c) => c.label === 'R-01')!;
	expect(await list(`runs?cellId=${first.id}`)).toMatchObject([{ source: 'live' }]);
});

test('two testers that disagree decide nothing; the report claims what is sure and says what is not', async ({
	page
}) => {
	const { base, cells } = await freshCrate(page, 'Marram');
	const run = (i: number, capacityAh: number, tester: string) =>
		page.request.post('/api/v1/runs', {
			data: {
				cellId: cells[i]!.id,
				capacityAh,
				sdAh: 2.4,
				temperatureC: 25,
				currentA: -46,
				tester,
				startedFull: true,
				testedAt: '2026-11-22'
			}
		});
	await run(0, 246, 'A');
	await run(1, 212, 'A');
	await run(2, 233, 'A');
	await run(2, 224, 'B');
	await page.goto(`${base}/receive/report`);
	await expect(
		page.getByText(/1 good, 1 to return, 1 cannot be told, 17 not tested; worth \d+ € in missing charge/).first()
	).toBeVisible();
	await expect(page.getByText('The measurement cannot tell on which side of the promise it lies.')).toBeVisible();
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Print it' })).toBeHidden();
	await expect(page.getByText(/To be told to the supplier by/)).toBeVisible();
});

test('the queue of twenty is a timetable with its bound, and goes into a calendar', async ({ page }) => {
	test.setTimeout(90_000);
	const { base } = await freshCrate(page, 'Wrack');
	await page.goto(`${base}/test/queue`);
	await expect(page.getByText(/^Done .*days$/)).toBeVisible({ timeout: 30_000 });
	await page.getByLabel(/^Testers/).fill('20, 20');
	await page.getByLabel(/^Testers/).press('Tab');
	await expect(page.getByText('Tester 2', { exact: true })).toBeVisible({ timeout: 30_000 });
	await expect(page.getByRole('heading', { name: 'What would shorten it' })).toBeVisible();
	const href = await page.getByRole('link', { name: 'Into a calendar' }).getAttribute('href');
	const ics = await (await page.request.get(href!)).text();
	expect(ics.match(/BEGIN:VEVENT/g)!.length).toBe(3 * CELLS);
	// What it was planned with stands in the address.
	await page.reload();
	await expect(page.getByLabel(/^Testers/)).toHaveValue('20, 20');
});
