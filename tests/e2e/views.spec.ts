import { expect, test } from '../support/e2e';

interface Named {
	id: number;
	name: string;
}

test('the theme chosen is there before the page is drawn', async ({ page, request }) => {
	for (const theme of ['coal', 'ash']) {
		await page.goto('/settings');
		const kept = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('radio', { name: new RegExp(theme, 'i') }).click();
		await kept;
		await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
		expect(await (await request.get('/')).text()).toContain(`data-theme="${theme}"`);
	}
});

test('two tabs cannot overwrite each other', async ({ page, secondPage: second, request }) => {
	const bank = (await (
		await request.post('/api/v1/banks', {
			data: { name: 'Two tabs', bankUse: 'other', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json()) as Named;
	await page.goto(`/banks/${bank.id}/plan`);
	await second.goto(`/banks/${bank.id}/plan`);
	const type = async (tab: typeof page, notes: string) => {
		await tab.getByLabel('Cell type').selectOption({ index: 0 });
		await tab.getByLabel('Notes').fill(notes);
	};
	const save = (tab: typeof page) => tab.getByRole('button', { name: 'Save' }).click();
	await type(second, 'second');
	await type(page, 'first');
	// The other tab is told, and looks again: what is typed in it stays.
	const lookedAgain = second.waitForResponse((r) => r.url().includes('__data.json'));
	await save(page);
	await expect(page.getByText('Saved.')).toBeVisible();
	await lookedAgain;
	await expect(second.getByLabel('Notes')).toHaveValue('second');
	await save(second);
	await expect(second.getByText('was changed elsewhere', { exact: false })).toBeVisible();
	await expect(second.getByLabel('Notes')).toHaveValue('second');
	expect(((await (await request.get(`/api/v1/banks/${bank.id}`)).json()) as { notes: string }).notes).toBe('first');
});

test('American units stand in forms, drawings and reasons, and what is typed in them is stored in SI', async ({
	page,
	request
}) => {
	const { items } = await (await request.get('/api/v1/banks?size=100')).json();
	const bank = items.find((b: Named) => b.name === 'Cogwheel');
	const [battery] = (await (await request.get(`/api/v1/batteries?bankId=${bank.id}`)).json()).items;
	await request.patch('/api/v1/settings', { data: { units: 'us' } });
	try {
		await page.goto(`/banks/${bank.id}/build/joints`);
		await page.getByRole('checkbox').nth(1).check();
		await page.getByLabel('Torque (in·lb)').fill('40');
		await page.getByRole('button', { name: 'Tick 1 joint' }).click();
		await expect(page.getByText('The joint is ticked.')).toBeVisible();
		const { items: torques } = await (
			await request.get(`/api/v1/joint-torques?batteryId=${battery.id}&size=100`)
		).json();
		// 40 in·lb are 4.519 N·m.
		expect(torques.map((t: { torqueNm: number }) => t.torqueNm.toFixed(3))).toContain('4.519');
		await expect(page.locator('svg .joint-figure').first()).toHaveText('40');
		await page.goto(`/banks/${bank.id}/plan/buy`);
		const text = await page.locator('main').innerText();
		expect(text).toMatch(/\d lb/);
		expect(text).not.toMatch(/\d (kg|mm|°C|N·m)(?![²\w/])/);
	} finally {
		await request.patch('/api/v1/settings', { data: { units: 'metric' } });
	}
});

test('units and dates follow the settings', async ({ page, request }) => {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const damson = items.find((b) => b.name === 'Damson Rise')!.id;
	await page.goto('/settings');
	for (const choice of [/^US/, '2026-03-09']) {
		const kept = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('radio', { name: choice }).click();
		await kept;
		await expect(page.getByRole('radio', { name: choice })).toBeChecked();
	}
	await page.goto(`/banks/${damson}/limits`);
	await expect(page.getByRole('row', { name: /Charge too hot 113 °F 104 °F/ })).toBeVisible();
	await request.patch('/api/v1/settings', { data: { units: 'metric', dateStyle: 'day-first' } });
});

test('a bank goes out as a file and comes back whole', async ({ page, request }) => {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const cogwheel = items.find((b) => b.name === 'Cogwheel')!.id;
	const file = await (await request.get(`/api/v1/banks/${cogwheel}/export`)).body();
	await page.goto('/');
	await page.getByLabel('Bank file').setInputFiles({ name: 'bank.json', mimeType: 'application/json', buffer: file });
	await expect(page).toHaveURL(/\/plan$/);
	await page.getByRole('link', { name: /^Match/ }).click();
	await expect(page.getByRole('button', { name: 'Exchange C-01' })).toBeVisible();
	await page.goto('/');
	await page
		.getByLabel('Bank file')
		.setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{"a":1}') });
	await expect(page.getByText('this is not a bank exported from here', { exact: false })).toBeVisible();
});
