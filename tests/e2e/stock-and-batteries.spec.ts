import { expect, test, type APIRequestContext, type Page } from '../support/e2e';

interface Named {
	id: number;
	name: string;
	label: string;
}
const poster =
	(request: APIRequestContext) =>
	async (path: string, data: object): Promise<Named> =>
		(await (await request.post(`/api/v1/${path}`, { data })).json()) as Named;
const cell = (page: Page, label: string) => page.getByRole('button', { name: new RegExp(`^${label},`) });

/** Two banks for one cell each. */
async function twoBanks(request: APIRequestContext, name: string): Promise<[number, number]> {
	const post = poster(request);
	const bank = { bankUse: 'van', chemistry: 'LFP', series: 1, parallel: 1 };
	const cellType = { name: `${name} type`, chemistry: 'LFP', ratedAh: 100 };
	const first = await post('banks', { ...bank, name: `${name} one`, cellType });
	const second = await post('banks', { ...bank, name: `${name} two` });
	return [first.id, second.id];
}

test('a cell comes to the stock, into a bank, out of it and into another, and keeps its life', async ({
	page,
	request
}) => {
	const [one, two] = await twoBanks(request, 'Moving');
	await page.goto('/stock');
	await page.getByRole('button', { name: 'Unpack a delivery' }).click();
	await page.getByRole('textbox', { name: 'Delivery', exact: true }).fill('Market stall');
	await page.getByLabel('Number of cells').fill('2');
	await page.getByLabel('Label prefix').fill('MV');
	await page.getByRole('button', { name: 'Lay them on the tray' }).click();
	await expect(page.getByRole('region', { name: 'Market stall' })).toBeVisible();
	await page.getByRole('searchbox').fill('MV-');
	await page.getByRole('searchbox').press('Enter');
	await expect(cell(page, 'MV-01')).toBeVisible();

	await cell(page, 'MV-01').click();
	const picked = page.getByRole('region', { name: 'Picked cells' });
	await picked.getByLabel('For the bank').selectOption({ label: 'Moving one' });
	await picked.getByRole('button', { name: 'Consider them there' }).click();
	await expect(cell(page, 'MV-01')).toHaveAccessibleName(/for Moving one/);
	await expect(cell(page, 'MV-02')).toHaveAccessibleName(/loose/);

	const { items } = (await (await request.get(`/api/v1/candidates?bankId=${one}`)).json()) as {
		items: { cellId: number }[];
	};
	const cellId = items[0]!.cellId;
	await poster(request)('readings', { cellId, quantity: 'restVoltage', rawText: '3.290' });
	await poster(request)('placements', { cellId, bankId: one, battery: 1, position: 1 });

	await page.goto(`/cells/${cellId}`);
	const where = page.getByRole('region', { name: 'Where it is' });
	await expect(where).toContainText('In Moving one, battery 1, group 1');
	await where.getByRole('button', { name: 'Take it out of the group' }).click();
	await expect(where).not.toContainText('battery 1');
	// A slip is taken back.
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(where).toContainText('In Moving one, battery 1, group 1');
	await where.getByRole('button', { name: 'Take it out of the group' }).click();
	await where.getByRole('button', { name: 'No longer consider it' }).click();
	await expect(where).toContainText('It lies in the stock, for no bank');
	await expect(page.getByText('Rest voltage 3.290')).toBeVisible();
	await expect(page.getByText('Taken out of Moving one', { exact: true })).toBeVisible();

	await page.goto('/stock?q=MV-01');
	await expect(cell(page, 'MV-01')).toHaveAccessibleName(/was in Moving one/);
	await cell(page, 'MV-01').click();
	await picked.getByLabel('For the bank').selectOption({ label: 'Moving two' });
	await picked.getByRole('button', { name: 'Consider them there' }).click();
	await expect(cell(page, 'MV-01')).toHaveAccessibleName(/for Moving two/);
	await page.goto(`/banks/${two}/receive`);
	await expect(cell(page, 'MV-01')).toHaveAccessibleName(/3\.290/);
});

test('deliveries of one name stay apart, and a filter is kept in the address', async ({ page, request }) => {
	const crate = { name: 'Same name', cellCount: 1 };
	for (const receivedOn of ['2026-03-09', '2026-04-09'])
		await poster(request)('deliveries', { ...crate, receivedOn, labelPrefix: 'SN' });
	await page.goto('/stock?q=SN-');
	await expect(page.getByRole('region', { name: 'Same name' })).toHaveCount(2);
	await page.getByLabel('built in').check();
	await page.getByRole('button', { name: 'Show' }).click();
	await expect(page).toHaveURL(/place=placed/);
	await expect(page.getByText('Nothing like that in the stock.')).toBeVisible();
	await expect(page.getByRole('searchbox')).toHaveValue('SN-');
});

test('a verdict is set apart with a reason, and glows again when its facts move', async ({ page, request }) => {
	const post = poster(request);
	const [bankId] = await twoBanks(request, 'Apart');
	const crate = { bankId, name: 'Box', receivedOn: '2026-03-09', cellCount: 1, labelPrefix: 'AP' };
	const delivery = await post('deliveries', crate);
	const { items } = (await (await request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json()) as { items: Named[] };
	const cellId = items[0]!.id;
	await post('readings', { cellId, quantity: 'restVoltage', rawText: '2.310' });
	await page.goto(`/banks/${bankId}/receive`);
	const verdict = page.getByRole('listitem').filter({ hasText: 'AP-01 arrived' });
	await expect(verdict).toContainText('Stop');
	await verdict.getByText('How this was decided, acknowledge').click();
	const button = verdict.getByRole('button', { name: 'Acknowledge with a reason' });
	await expect(button).toBeDisabled();
	await verdict.getByRole('textbox').fill('Sent back to the stall');
	await button.click();
	await expect(verdict).toContainText('Sent back to the stall');
	await expect(verdict).not.toContainText('Stop');
	// Another reading, far beyond the doubt of the first: what was seen is no longer what stands.
	await post('readings', { cellId, quantity: 'restVoltage', rawText: '1.950' });
	await page.reload();
	await expect(verdict).toContainText('Stop');
});

test('each battery keeps its own fuse and cable; a fuse above its cable says stop', async ({ page, request }) => {
	const post = poster(request);
	const cellType = { name: 'Wired type', chemistry: 'LFP', ratedAh: 100 };
	const bank = { name: 'Wired', bankUse: 'boat', chemistry: 'LFP', series: 4, parallel: 1, batteries: 2, cellType };
	const { id } = await post('banks', bank);
	await page.goto(`/banks/${id}/limits`);
	const wire = async (battery: string, fuse: string, cable: string) => {
		await page.getByRole('radio', { name: battery }).click();
		await page.getByLabel('Main fuse').fill(fuse);
		await page.getByLabel('Cable').fill(cable);
		await page.getByRole('button', { name: 'Keep these' }).click();
		await expect(page.getByText('Kept. The sheet below follows.').last()).toBeVisible();
	};
	await wire('Battery 1', '100', '120');
	await wire('Battery 2', '400', '50');
	await expect(page.getByRole('heading', { name: /The fuse does not protect the cable/ }).first()).toBeVisible();
	// Another strategy is the bank's: what is fitted stays as it is.
	const kept = page.waitForResponse((r) => r.url().includes('?/strategy') && r.ok());
	await page.getByRole('radio', { name: 'Full span' }).click();
	await kept;
	await page.reload();
	await expect(page.getByLabel('Main fuse')).toHaveValue('100');
	await page.getByRole('radio', { name: 'Battery 2' }).click();
	await expect(page.getByLabel('Main fuse')).toHaveValue('400');
	await expect(page.getByRole('radio', { name: 'Full span' })).toBeChecked();
});

test('what was taken out comes back later, from one place', async ({ page }) => {
	const post = async (path: string, data: object) => (await page.request.post(`/api/v1/${path}`, { data })).json();
	const bank = await post('banks', { name: 'Put away', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const delivery = await post('deliveries', {
		name: 'One too many',
		receivedOn: '2026-02-03',
		cellCount: 2,
		labelPrefix: 'OT'
	});
	await page.request.delete(`/api/v1/banks/${bank.id}?version=${bank.version}`);
	// Other walks may have filled the first page with later deliveries.
	await page.goto('/stock?q=OT-0');
	const crate = page.getByRole('region', { name: 'One too many' });
	await crate.getByRole('button', { name: /^OT-02/ }).click();
	await page.getByRole('button', { name: 'Take it out', exact: true }).last().click();
	await expect(crate.getByRole('button', { name: /^OT-02/ })).toHaveCount(0);

	await page.goto('/');
	await page.getByRole('link', { name: 'Taken out' }).click();
	await expect(page.getByRole('button', { name: 'Bring back cell OT-02' })).toBeVisible();
	await page.getByRole('button', { name: 'Bring back cell OT-02' }).click();
	await expect(page.getByRole('button', { name: 'Bring back cell OT-02' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Bring back bank Put away' }).click();
	await expect(page.getByRole('button', { name: 'Bring back bank Put away' })).toHaveCount(0);
	await page.goto(`/banks/${bank.id}/plan`);
	await expect(page.getByText('Put away').first()).toBeVisible();
	const { items } = await (await page.request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json();
	expect(items.map((c: { label: string }) => c.label)).toEqual(['OT-01', 'OT-02']);
});
