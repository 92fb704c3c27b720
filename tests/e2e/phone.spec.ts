import { expect, test } from '../support/e2e';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('readings typed on a phone, with the server away in between', async ({ page, request, context }) => {
	const bank = await (
		await request.post('/api/v1/banks', {
			data: { name: 'Pocket', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json();
	await request.post('/api/v1/deliveries', {
		data: { bankId: bank.id, name: 'Crate', receivedOn: '2026-03-09', cellCount: 4, labelPrefix: 'P' }
	});
	await page.goto(`/banks/${bank.id}/receive`);
	const field = page.getByRole('textbox', { name: /rest voltage/ });
	const next = page.getByRole('button', { name: /Next cell/ });
	const cell = (label: string) => page.getByRole('button', { name: new RegExp(`^${label},`) });
	await field.fill('3.294');
	await next.tap();
	await expect(cell('P-01')).toContainText('3.294');
	await expect(page.getByText('not yet sent')).toBeHidden();

	await context.setOffline(true);
	await field.fill('3.295');
	await next.tap();
	await expect(cell('P-02')).toContainText('3.295');
	await expect(page.getByText('1 kept here, not yet sent')).toBeVisible();
	await context.setOffline(false);
	await expect(page.getByText('not yet sent')).toBeHidden();
	const stored = await (await request.get(`/api/v1/readings?size=500`)).json();
	expect(
		stored.items.filter(
			(r: { rawText: string; quantity: string }) => r.rawText === '3.295' && r.quantity === 'restVoltage'
		).length
	).toBeGreaterThan(0);

	await page.getByText('Verdicts', { exact: true }).tap();
	await expect(page.getByText('not fully read').locator('visible=true').first()).toBeVisible();
	for (const button of await page.getByRole('button').all()) {
		const box = await button.boundingBox();
		if (box && box.width > 1)
			expect(Math.round(box.height), (await button.textContent()) ?? '').toBeGreaterThanOrEqual(44);
	}
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a pad of digits has its minus, fields do not make the page zoom, and a double tap keeps one', async ({
	page,
	request
}) => {
	const bank = await (
		await request.post('/api/v1/banks', {
			data: { name: 'Thumb', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json();
	const delivery = await (
		await request.post('/api/v1/deliveries', {
			data: { bankId: bank.id, name: 'Crate', receivedOn: '2026-03-09', cellCount: 2, labelPrefix: 'T' }
		})
	).json();
	await page.goto(`/banks/${bank.id}/receive`);
	const field = page.getByRole('textbox', { name: /rest voltage/ });
	await field.tap();
	await field.fill('3.29');
	await page.getByRole('button', { name: 'Change the sign' }).tap();
	await expect(field).toHaveValue('-3.29');
	await expect(field).toBeFocused();
	await page.getByRole('button', { name: 'Change the sign' }).tap();
	await expect(field).toHaveValue('3.29');

	const { items } = await (await request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json();
	await page.goto(`/cells/${items[0].id}`);
	const note = page.getByLabel('Add a note');
	expect(await note.evaluate((el) => parseFloat(getComputedStyle(el).fontSize))).toBeGreaterThanOrEqual(16);
	await note.fill('Sleeve torn');
	await page.getByRole('button', { name: 'Keep the note' }).dblclick();
	await expect(page.getByText('Sleeve torn')).toHaveCount(1);
	const notes = await (await request.get(`/api/v1/notes?cellId=${items[0].id}`)).json();
	expect(notes.items).toHaveLength(1);
});
