import { expect, test, type APIRequestContext, type Page } from '../support/e2e';

interface Named {
	id: number;
	name: string;
}

/** A bank of its own with `cells` laid on the tray and, if wanted, tested. */
async function prepared(
	request: APIRequestContext,
	name: string,
	cells: number,
	capacities: number[] = []
): Promise<number> {
	const post = async (path: string, data: object) =>
		(await (await request.post(`/api/v1/${path}`, { data })).json()) as Named;
	const type = await post('cell-types', { name: `${name} type`, chemistry: 'LFP', ratedAh: 100 });
	const bank = await post('banks', {
		name,
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cellTypeId: type.id
	});
	const delivery = await post('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-03-09',
		cellCount: cells,
		labelPrefix: 'B'
	});
	const { items } = (await (await request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json()) as { items: Named[] };
	for (const [i, capacityAh] of capacities.entries()) {
		await post('runs', { cellId: items[i]!.id, capacityAh, temperatureC: 25 });
		await post('readings', { cellId: items[i]!.id, quantity: 'restVoltage', rawText: (3.29 + i / 1000).toFixed(3) });
	}
	return bank.id;
}
const cell = (page: Page, label: string) => page.getByRole('button', { name: new RegExp(`^${label},`) });

test('a bank is put away and brought back', async ({ page, request }) => {
	const id = await prepared(request, 'Passing', 4);
	await page.goto(`/banks/${id}/plan`);
	await page.getByRole('button', { name: 'Put this bank away' }).click();
	await expect(page).toHaveURL(/\/$/);
	await expect(page.getByRole('heading', { name: 'Passing' })).toBeHidden();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page).toHaveURL(/\/plan$/);
	await page.goto('/');
	await expect(page.getByRole('heading', { name: 'Passing' })).toBeVisible();
});

test('keys: help, quantity, a refused word, and bad lines of a paste are named', async ({ page, request }) => {
	const id = await prepared(request, 'Keys', 4);
	await page.goto(`/banks/${id}/receive`);
	await expect(page.locator('#entry-field')).toBeFocused();
	await page.keyboard.press('Shift+?');
	await expect(page.getByRole('heading', { name: 'Keys', exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await page.locator('#entry-field').fill('low');
	await page.keyboard.press('Enter');
	await expect(page.getByText('A rest voltage is a number like 3.298, got "low"')).toBeVisible();
	await expect(page.locator('#entry-field')).toHaveValue('low');
	await page.locator('#entry-field').fill('');
	await page.evaluate(() => {
		const data = new DataTransfer();
		data.setData('text', '3.291\nbroken\n3.293');
		const event = new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true });
		document.getElementById('entry-field')!.dispatchEvent(event);
	});
	// Nothing is stored before it is looked at beside its cells.
	const laid = page.getByRole('list', { name: 'Values beside their cells' });
	await expect(laid.getByRole('listitem').nth(1)).toContainText('B-02');
	await expect(laid.getByRole('listitem').nth(1)).toContainText('no number: left out');
	await expect(page.getByText('No value for B-04: it stays as it is.')).toBeVisible();
	await expect(cell(page, 'B-03')).toContainText('·');
	await page.getByRole('button', { name: 'Enter 2 values' }).click();
	await expect(cell(page, 'B-03')).toContainText('3.293');
	await expect(cell(page, 'B-02')).toContainText('·');
});

test('a worse reading drawn on the tray glows in words too', async ({ page, request }) => {
	const id = await prepared(request, 'Glow', 6, [100, 100, 100, 100, 100]);
	await page.goto(`/banks/${id}/receive`);
	await cell(page, 'B-06').click();
	await page.keyboard.type('2.1');
	await page.keyboard.press('Enter');
	await expect(cell(page, 'B-06')).toHaveAttribute('data-warmth', 'stop');
	await expect(page.getByText('too low', { exact: true })).toBeVisible();
	await expect(page.getByRole('heading', { name: 'B-06 arrived below 2.50 V' })).toBeVisible();
	await page.goto('/');
	await expect(page.getByRole('link', { name: 'Go on with Glow' })).toHaveText('Go to Receive');
});

test('nothing moves under the finger while readings are on their way and verdicts come', async ({ page, request }) => {
	const id = await prepared(request, 'Still', 6);
	await page.goto(`/banks/${id}/receive`);
	let answer = () => {};
	const held = new Promise<void>((done) => (answer = done));
	await page.route('**/api/v1/readings', async (route) => {
		await held;
		await route.continue();
	});
	for (const volts of ['3.294', '3.295', '3.293', '32.94']) {
		await page.keyboard.type(volts);
		await page.keyboard.press('Enter');
	}
	const take = page.getByRole('button', { name: 'Take 3.294 V' });
	await expect(page.getByText('4 kept here, not yet sent')).toBeVisible();
	const before = await take.boundingBox();
	answer();
	await expect(page.getByRole('heading', { name: 'B-04 cannot rest at 32.940 V' })).toBeVisible();
	await expect(page.getByText('not yet sent')).toBeHidden();
	expect(await take.boundingBox()).toEqual(before);
	await take.click();
	await expect(page.getByRole('heading', { name: 'B-04 cannot rest' })).toBeHidden();
});

test('a long matching shows progress; cancelled, it keeps the best so far', async ({ page, request }) => {
	const capacities = Array.from({ length: 40 }, (_, i) => 100 + ((i * 7919) % 97) / 13);
	const id = await prepared(request, 'Long', 40, capacities);
	await request.patch(`/api/v1/banks/${id}`, { data: { series: 12, parallel: 3, version: 1 } });
	await page.goto(`/banks/${id}/match`);
	await page.getByRole('button', { name: 'Match the cells' }).click();
	await expect(page.getByRole('progressbar')).toBeVisible();
	await expect(page.getByText(/smallest \d/)).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByText('Ended. This is the best found until then.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Match again' })).toBeEnabled();
	await expect(page.getByRole('button', { name: 'Accept these groups' })).toBeEnabled();
});

test('matching can be dragged and accepted', async ({ page, request }) => {
	const id = await prepared(request, 'Drag', 6, [104, 101, 96, 103, 102.5, 103.5]);
	await page.goto(`/banks/${id}/match`);
	await page.getByRole('button', { name: 'Match the cells' }).click();
	const spares = page.getByLabel('Spares');
	await expect(spares.getByText('B-03')).toBeVisible();
	// Nothing moves any more under the pointer: the matching has ended, and what it gives is worked out.
	await expect(page.getByRole('button', { name: 'Match again' })).toBeEnabled();
	await expect(page.getByLabel('What it will give')).not.toHaveAttribute('aria-busy', 'true');
	const dragged = page.getByLabel(/^B-01, 104\.0 Ah/);
	await dragged.hover();
	await spares.hover();
	// In the middle of the window: neither the bar above nor a toast below stands over what is dragged.
	await dragged.evaluate((element) => element.scrollIntoView({ block: 'center' }));
	const from = (await dragged.boundingBox())!;
	const to = (await spares.boundingBox())!;
	await page.mouse.move(from.x + 20, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(from.x + 40, from.y + 40, { steps: 5 });
	await page.mouse.move(to.x + 60, to.y + 20, { steps: 15 });
	await page.waitForTimeout(400);
	await page.mouse.up();
	await expect(page.getByText(/B-01 and B-0\d changed places: smallest group/)).toBeVisible();
	await page.getByRole('button', { name: 'Put them back' }).click();
	await expect(page.getByLabel(/^Group \d$/).getByText('B-01')).toBeVisible();
	await page.getByRole('button', { name: 'Accept these groups' }).click();
	await expect(page.getByText(/^Placed /)).toBeVisible();
	const { items } = (await (await request.get(`/api/v1/placements?bankId=${id}`)).json()) as { items: unknown[] };
	expect(items).toHaveLength(4);
});

test('what the groups will give is told as an interval; unbalanced only of cells that were read as they came', async ({
	page,
	request
}) => {
	const id = await prepared(request, 'Gives', 6);
	const of = async (path: string) =>
		((await (await request.get(`/api/v1/${path}`)).json()) as { items: { id: number }[] }).items;
	const [delivery] = await of(`deliveries?bankId=${id}`);
	const cells = await of(`cells?deliveryId=${delivery!.id}`);
	const read = (cell: { id: number }, rawText: string, takenAt?: string) =>
		request.post('/api/v1/readings', { data: { cellId: cell.id, quantity: 'restVoltage', rawText, takenAt } });
	for (const [i, cell] of cells.entries()) {
		await read(cell, (3.27 + i / 500).toFixed(3), '2026-03-10T08:00:00.000Z');
		await request.post('/api/v1/runs', {
			data: { cellId: cell.id, capacityAh: 100 + i, temperatureC: 25, testedAt: '2026-03-12T08:00:00.000Z' }
		});
	}
	await page.goto(`/banks/${id}/match`);
	await page.getByRole('button', { name: 'Match the cells' }).click();
	const gives = page.getByRole('region', { name: 'What it will give' });
	const way = (name: RegExp) => gives.getByRole('listitem').filter({ hasText: name });
	const given = async (name: RegExp) =>
		(await way(name).innerText())
			.match(/(\d+) to (\d+) Ah/)!
			.slice(1)
			.map(Number);
	await expect(way(/^Top/)).toContainText(/Ended by group \d \(B-0\d/);
	const [topLow] = await given(/^Top/);
	const [low, high] = await given(/^Unbalanced/);
	expect(low).toBeLessThan(topLow!);
	expect(high).toBeGreaterThan(low!);
	// A balancer that never works gives nothing.
	await gives.getByLabel('really works for').fill('0');
	await gives.getByLabel('really works for').press('Enter');
	await expect.poll(async () => (await given(/^Active/)).join()).toBe((await given(/^Top/)).join());
	// Read once more after its run: how it came is what it read before. Without that nobody can tell.
	await read(cells[5]!, '3.301');
	const again = async () => {
		await page.reload();
		await page.getByRole('button', { name: 'Match the cells' }).click();
	};
	await again();
	await expect.poll(async () => (await given(/^Unbalanced/)).join()).toBe([low, high].join());
	const [came] = (await of(`readings?cellId=${cells[5]!.id}`)) as { id: number; version: number }[];
	const removed = await request.delete(`/api/v1/readings/${came!.id}?version=${came!.version}`);
	expect(removed.status()).toBe(204);
	await again();
	await expect(way(/^Unbalanced/)).toContainText('Cannot tell');
});

test('a log with faults is shown before it is stored, and can be left', async ({ page, request }) => {
	const id = await prepared(request, 'Faults', 4);
	await page.goto(`/banks/${id}/test`);
	const rows = Array.from({ length: 40 }, (_, i) => `${i * 10},${3.3 - i / 1000},-20`);
	const log = ['time_s,voltage_V,current_A', ...rows, '390,3.26,-20', '4000,3.2,-20'].join('\n');
	const choose = () =>
		page.getByLabel('Log file').setInputFiles({ name: 'b.csv', mimeType: 'text/csv', buffer: Buffer.from(log) });
	await choose();
	await expect(page.getByText('Line 42 repeats the time of the line before; left out.')).toBeVisible();
	await expect(page.getByText('3610 s without samples', { exact: false })).toBeVisible();
	await expect(page.getByLabel(/went on through the gaps/)).toBeVisible();
	await page.getByRole('button', { name: 'Leave it' }).click();
	await page
		.getByLabel('Log file')
		.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b,c\n1,2,3') });
	await expect(page.getByText('No header with time, voltage and current', { exact: false })).toBeVisible();
	await choose();
	await page.getByRole('button', { name: 'Store this run' }).click();
	await expect(page.getByText('Run of B-01 stored.')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(cell(page, 'B-01')).toContainText('·');
});

test('two people ticking and logging see each other’s work, and nothing is overwritten', async ({
	page,
	secondPage: other,
	request
}) => {
	const id = await prepared(request, 'Pair', 4, [100, 100, 100, 100]);
	const deliveries = (await (await request.get(`/api/v1/deliveries?bankId=${id}`)).json()) as { items: Named[] };
	const crate = await request.get(`/api/v1/cells?deliveryId=${deliveries.items[0]!.id}`);
	const own = ((await crate.json()) as { items: Named[] }).items.map((c) => [c.id]);
	expect((await request.post(`/api/v1/banks/${id}/match`, { data: { groups: own } })).status()).toBe(201);
	await request.post('/api/v1/balance-runs', { data: { bankId: id, supplyA: 20, leadOhm: 0.01, checklist: {} } });
	await page.goto(`/banks/${id}/balance`);
	await other.goto(`/banks/${id}/balance`);
	const stored = page.waitForResponse((r) => r.url().includes('/balance-runs/') && r.request().method() === 'PATCH');
	await page.getByRole('checkbox').first().check();
	await stored;
	await expect(page.getByRole('button', { name: 'Record: supply switched on' })).toBeDisabled();
	// It is drawn back at once: a click, not a check.
	await other.getByRole('checkbox').nth(1).click();
	await expect(other.getByText('was changed elsewhere', { exact: false })).toBeVisible();
	await page.reload();
	await expect(page.getByRole('checkbox').first()).toBeChecked();
});

test('cells travel from their places in the crate to their places in the battery; one left out there is a spare', async ({
	page,
	request
}) => {
	const id = await prepared(request, 'Journey', 6, [104, 101, 103.8, 96, 102.5, 103.5]);
	await page.emulateMedia({ reducedMotion: 'no-preference' });
	await page.addInitScript(() => {
		const ways: [string, string][] = [];
		const animate = Element.prototype.animate;
		Element.prototype.animate = function (frames, how) {
			if (this instanceof HTMLElement && this.dataset.cell)
				ways.push([this.dataset.cell, String((frames as Keyframe[])[0]!.transform)]);
			return animate.call(this, frames, how);
		};
		Object.assign(window, { ways });
	});
	const ways = () => page.evaluate(() => (window as unknown as { ways: [string, string][] }).ways);
	await page.goto(`/banks/${id}/match`);
	const crate = page.getByLabel('Measured cells as they came, Ah');
	await expect(crate.getByRole('button')).toHaveCount(6);
	await crate.getByRole('button', { name: /^B-01/ }).click();
	await page.getByRole('button', { name: 'Leave it out' }).click();
	await expect(crate.getByRole('button', { name: /^B-01.*left out/ })).toBeVisible();
	const lay = await page.locator('[data-cell]').evaluateAll((cells) =>
		cells.map((c) => ({
			id: c.getAttribute('data-cell')!,
			x: c.getBoundingClientRect().x,
			y: c.getBoundingClientRect().y
		}))
	);
	await page.getByRole('button', { name: 'Match the cells' }).click();
	await expect(page.getByLabel('Spares').getByText('B-01')).toBeVisible();
	await expect.poll(async () => (await ways()).length).toBe(6);
	await page.evaluate(() => Promise.all(document.getAnimations().map((a) => a.finished)));
	const [first, way] = (await ways())[0]!;
	const [dx, dy] = way.match(/-?[\d.]+/g)!.map(Number);
	const now = (await page.locator(`[data-cell="${first}"]`).boundingBox())!;
	const was = lay.find((l) => l.id === first)!;
	expect(now.x + dx!).toBeCloseTo(was.x, 0);
	// A line that tells of the search stands above them meanwhile.
	expect(Math.abs(now.y + dy! - was.y)).toBeLessThan(80);

	await page.emulateMedia({ reducedMotion: 'reduce' });
	const before = (await ways()).length;
	await page.getByRole('button', { name: 'Exchange B-01' }).click();
	await page.getByRole('button', { name: 'Exchange B-02' }).click();
	await expect(page.getByText(/B-01 and B-02 changed places|B-02 and B-01 changed places/)).toBeVisible();
	expect((await ways()).length).toBe(before);
});
