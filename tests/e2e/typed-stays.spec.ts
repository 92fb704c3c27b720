import { test as plain } from '@playwright/test';
import { expect, test, type APIRequestContext } from '../support/e2e';

async function named(request: APIRequestContext, name: string): Promise<{ id: number; version: number }> {
	const { items } = await (await request.get('/api/v1/banks?size=100')).json();
	return items.find((b: { name: string }) => b.name === name);
}

test.describe('what is typed', () => {
	test('stands in its form after a reload, until the form is taken', async ({ page, request }) => {
		await page.goto('/banks/new');
		await page.getByLabel('Name', { exact: true }).fill('Half written');
		await page.getByRole('button', { name: '24 V' }).click();
		await page.getByLabel('In series').fill('9');
		await page.reload();
		await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half written');
		await expect(page.getByLabel('In series')).toHaveValue('9');
		await page.getByLabel('In series').fill('8');
		await page.getByLabel('Cell type').selectOption({ index: 0 });
		await page.getByRole('button', { name: 'Make this bank' }).click();
		await expect(page).toHaveURL(/\/banks\/\d+\/plan\/need$/);
		const id = Number(/banks\/(\d+)/.exec(page.url())![1]);
		expect(await (await request.get(`/api/v1/banks/${id}`)).json()).toMatchObject({ name: 'Half written', series: 8 });
		await page.goto('/banks/new');
		await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
	});

	test('in a check that could not be sent survives a reload, and the message ends with the success', async ({
		page,
		request
	}) => {
		const bank = await named(request, 'Damson Rise');
		await page.goto(`/banks/${bank.id}/serve/logs`);
		const first = page.locator('[name="group-0"]');
		await first.fill('3.412');
		await page.locator('[name="group-1"]').fill('3.409');
		await page.getByLabel(/^Current/).fill('2');
		await page.route('**/api/v1/service-checks', (route) => route.abort());
		await page.getByRole('button', { name: 'Log the check' }).click();
		await expect(page.getByText(/is kept here/)).toBeVisible();
		await page.unroute('**/api/v1/service-checks');
		await page.reload();
		await expect(first).toHaveValue('3.412');
		await expect(page.locator('[name="group-1"]')).toHaveValue('3.409');
	});
	test('the message of what failed ends when it is done', async ({ page, request }) => {
		const bank = await named(request, 'Heronry');
		await page.goto(`/banks/${bank.id}/plan/layout`);
		const price = page.getByLabel('A cell costs');
		await page.route('**/api/v1/plans*', (route) => route.abort());
		await page.route('**/api/v1/plans/**', (route) => route.abort());
		await price.fill('91');
		await price.press('Enter');
		await expect(page.getByText(/does not answer/)).toBeVisible();
		await page.unrouteAll();
		const stored = page.waitForResponse((r) => r.url().includes('/api/v1/plans') && r.ok());
		await price.fill('92');
		await price.press('Enter');
		await stored;
		// By itself it would stay for twelve seconds.
		await expect(page.getByText(/does not answer/)).toBeHidden({ timeout: 9000 });
	});
});

plain('what is typed before the page listens is told to it', async ({ page, request }) => {
	const bank = await named(request, 'Heronry');
	// Its scripts come when it has been typed: into a page that sleeps.
	let wake: () => void = () => undefined;
	const typed = new Promise<void>((done) => (wake = done));
	await page.route('**/_app/immutable/**/*.js', async (route) => {
		await typed;
		await route.continue();
	});
	await page.goto(`/banks/${bank.id}/plan/layout`, { waitUntil: 'commit' });
	const price = page.getByLabel('A cell costs');
	await price.fill('87');
	await page.getByLabel('A BMS costs').focus();
	expect(await page.locator('html').getAttribute('data-awake')).toBeNull();
	wake();
	await page.waitForSelector('html[data-awake]');
	await expect
		.poll(async () => (await (await request.get(`/api/v1/plans?bankId=${bank.id}`)).json()).items[0]?.cellPrice)
		.toBe(87);
	await expect(price).toHaveValue('87');
});

test('Back shows what is stored now, not the page as it was left', async ({ page, request }) => {
	const heronry = await named(request, 'Heronry');
	await page.goto(`/banks/${heronry.id}/plan/bank`);
	const name = page.getByLabel('Name', { exact: true });
	await expect(name).toHaveValue('Heronry');
	await page.goto('/settings');
	const change = { version: heronry.version, name: 'Heronry two' };
	await request.patch(`/api/v1/banks/${heronry.id}`, { data: change });
	await page.goBack();
	await expect(name).toHaveValue('Heronry two');
	const now = await (await request.get(`/api/v1/banks/${heronry.id}`)).json();
	await request.patch(`/api/v1/banks/${heronry.id}`, { data: { version: now.version, name: 'Heronry' } });
});
