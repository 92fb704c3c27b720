import { test as base } from '@playwright/test';
import { expect } from '../support/e2e';

/** Before a page is awake, or where it never wakes: plain forms work all the same. */
const test = base.extend<object>({ javaScriptEnabled: false });

test('plain forms are kept by a page that does not listen yet', async ({ page, request }) => {
	await page.goto('/banks/new');
	await page.getByLabel('Name', { exact: true }).fill('Sleeping Cabin');
	await page.getByLabel('In series').fill('4');
	await page.getByLabel('Cell type').selectOption({ index: 0 });
	await page.getByRole('button', { name: 'Make this bank' }).click();
	await expect(page).toHaveURL(/\/banks\/\d+\/plan\/need$/);
	const id = Number(/banks\/(\d+)/.exec(page.url())![1]);

	await page.goto(`/banks/${id}/plan/bank`);
	await page.getByLabel('Name', { exact: true }).fill('Sleeping Hut');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Sleeping Hut');

	await page.goto(`/banks/${id}/limits`);
	await page.getByLabel('Main fuse').fill('62,5');
	await page.getByRole('button', { name: 'Keep these' }).click();
	await expect(page.getByLabel('Main fuse')).toHaveValue('62.5');
	await page.getByRole('radio', { name: 'Long life' }).check();
	await page.getByRole('button', { name: 'Keep', exact: true }).click();
	await expect(page.getByRole('radio', { name: 'Long life' })).toBeChecked();
	const plans = await (await request.get(`/api/v1/limit-plans?bankId=${id}`)).json();
	expect(plans.items).toMatchObject([{ strategy: 'long-life' }]);

	const data = { bankId: id, name: 'C', receivedOn: '2026-01-01', cellCount: 4 };
	const delivery = await (await request.post('/api/v1/deliveries', { data })).json();
	const { items } = await (await request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json();
	await page.goto(`/cells/${items[0].id}`);
	await page.getByLabel('Add a note').fill('Sleeve torn at the foot');
	await page.getByRole('button', { name: 'Keep the note' }).click();
	await expect(page.getByText('Sleeve torn at the foot')).toBeVisible();

	await page.goto(`/banks/${id}/test`);
	await page.getByLabel('Or the result by hand').fill('281,4');
	await page.getByRole('button', { name: 'Store by hand' }).click();
	const runs = await (await request.get(`/api/v1/runs?cellId=${items[0].id}`)).json();
	expect(runs.items).toMatchObject([{ capacityAh: 281.4, source: 'hand' }]);
});

test('what such a form refuses is said beside its field, and what was typed is still there', async ({ page }) => {
	await page.goto('/banks/new');
	await page.getByLabel('Name', { exact: true }).fill('Too long');
	await page.getByLabel('In series').fill('4000');
	await page.getByRole('button', { name: 'Make this bank' }).click();
	await expect(page.getByText(/Series needs a whole number/)).toBeVisible();
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Too long');
});

test('a setting is kept', async ({ page }) => {
	await page.goto('/settings');
	const dates = page.getByRole('radiogroup', { name: 'Dates' });
	const keep = page.locator('form', { has: dates }).getByRole('button', { name: 'Keep' });
	await dates.getByRole('radio').nth(2).check();
	await keep.click();
	await expect(dates.getByRole('radio').nth(2)).toBeChecked();
	await dates.getByRole('radio').nth(0).check();
	await keep.click();
	await expect(dates.getByRole('radio').nth(0)).toBeChecked();
});
