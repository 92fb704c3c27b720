import { expect, test, type Page } from '../support/e2e';

async function emptyBank(page: Page, name: string): Promise<string> {
	const bank = (await (
		await page.request.post('/api/v1/banks', {
			data: { name, bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json()) as { id: number };
	return `/banks/${bank.id}/balance`;
}

test('a method is chosen by what is at hand, and what stands against the others is said', async ({ page }) => {
	await page.goto(`${await emptyBank(page, 'Schools')}/method`);
	const first = page.getByRole('listitem').filter({ hasText: 'fits best' });
	await expect(first).toContainText('Top, in parallel');
	await page.getByLabel('Supply for one cell').fill('0');
	await expect(page.getByText(/Not now: no supply that can be set to one cell’s limit/).first()).toBeVisible();
	await expect(first).toHaveCount(0);
	await page.getByRole('radio', { name: 'run down to empty' }).click();
	await page.getByLabel('Load for one cell').fill('20');
	await expect(first).toContainText('Bottom');
	await page.getByLabel('Apart by').fill('0.5');
	await expect(first).toContainText('Not at all');
});

test('every link is proved off, pair by pair; one that is still in stops it', async ({ page }) => {
	await page.goto(`${await emptyBank(page, 'Links')}/links`);
	const said = page.getByRole('status').filter({ hasText: 'link' });
	await page.getByLabel('1 and 2').fill('0');
	await expect(said).toContainText('Not proved');
	await expect(said).toContainText('The balance plug is in');
	await page.getByLabel('The balance plug is out').check();
	await page.getByLabel('The meter has just read one cell right').check();
	await page.getByLabel('2 and 3').fill('6,61');
	await expect(said).toContainText('One pair is still linked in series');
	await expect(page.getByRole('link', { name: 'On to the charge side by side' })).toBeHidden();
	await page.getByLabel('2 and 3').fill('0.02');
	await page.getByLabel('3 and 4').fill('0,31');
	await expect(said).toContainText('Every series link is off');
	await expect(page.getByRole('link', { name: 'On to the charge side by side' })).toBeVisible();
});

test('the vessels: run up and down until one stops, and a question is answered by the simulator', async ({ page }) => {
	await page.goto(`${await emptyBank(page, 'Vessels')}/vessels`);
	const status = page.getByRole('status').filter({ hasText: 'this string gives' });
	await expect(status).toContainText('would stop the charge');
	const before = await status.textContent();
	await page.getByRole('button', { name: 'Charge it' }).click();
	await expect(status).toContainText(/Cell 4 is full and stops the string/);
	// One current through all moves nothing between them: it gives what it gave.
	expect((await status.textContent())!.match(/gives ([\d.]+) Ah/)![1]).toBe(before!.match(/gives ([\d.]+) Ah/)![1]);
	await page.getByRole('button', { name: 'Run it down' }).click();
	await expect(status).toContainText(/is empty and stops the string/);
	await page.getByRole('button', { name: 'Which cell stops this string when it is charged?' }).click();
	const answer = page.getByRole('group', { name: 'Your answer' });
	await answer.getByRole('button', { name: 'Cell 3' }).click();
	await expect(page.getByText('Not that one. Run it and see.')).toBeVisible();
	await answer.getByRole('button', { name: 'Cell 1' }).click();
	await expect(page.getByText(/^That is it\./)).toBeVisible();
	await page.getByRole('button', { name: 'Make this string give 10 Ah more.' }).click();
	const pour = page.getByRole('group', { name: 'One cell alone' });
	for (let i = 0; i < 8; i++) await pour.getByRole('button', { name: 'Take out 2 Ah' }).click();
	await expect(page.getByText(/^That is it\. What one has more/)).toBeVisible();
});

test('bars that are short make sets, as equal as they can be', async ({ page }) => {
	const made = await page.request.post('/api/v1/banks', {
		data: { name: 'Short of bars', bankUse: 'van', chemistry: 'LFP', series: 8, parallel: 1 }
	});
	const bank = (await made.json()) as { id: number };
	await page.request.post('/api/v1/deliveries', {
		data: { bankId: bank.id, name: 'Box', receivedOn: '2026-11-01', cellCount: 8, labelPrefix: 'S' }
	});
	await page.goto(`/banks/${bank.id}/balance/charge`);
	await page.getByText('stand in the row').click();
	await page.getByLabel('Bars there are').fill('6');
	const sets = page.getByRole('group', { name: 'Sets' });
	await expect(sets.getByRole('button')).toHaveText(['Set 1: S-01 to S-04', 'Set 2: S-05 to S-08']);
	await sets.getByRole('button', { name: /^Set 2/ }).click();
	await expect(page.getByText('4 of 8 cells stand in the row')).toBeVisible();
	await page.getByLabel('Bars there are').fill('14');
	await expect(sets).toHaveCount(0);
});

test('a cell that leaks is left out of the row; put there all the same it is said, and it stops the charge', async ({
	page
}) => {
	const made = await page.request.post('/api/v1/banks', {
		data: { name: 'One leaks', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 }
	});
	const bank = (await made.json()) as { id: number };
	const box = { bankId: bank.id, name: 'Box', receivedOn: '2026-11-01', cellCount: 4, labelPrefix: 'L' };
	const delivery = (await (await page.request.post('/api/v1/deliveries', { data: box })).json()) as { id: number };
	const { items } = (await (await page.request.get(`/api/v1/cells?deliveryId=${delivery.id}`)).json()) as {
		items: { id: number }[];
	};
	await page.request.post('/api/v1/inspections', { data: { cellId: items[1]!.id, leak: 'bad' } });
	await page.goto(`/banks/${bank.id}/balance/charge`);
	const row = page.locator('summary').filter({ hasText: 'stand in the row' });
	await expect(row).toContainText('3 of 4 cells stand in the row L-02 left out: something stops it');
	await row.click();
	await page.getByRole('checkbox', { name: 'L-02' }).check();
	await expect(row).toContainText('4 of 4 cells stand in the row');
	await expect(page.getByText('L-02 must not be charged with the others.')).toBeVisible();
	await page.getByRole('button', { name: 'Plan this balance' }).click();
	const verdicts = page.getByRole('complementary');
	await expect(verdicts.getByRole('heading', { name: 'L-02 must not be charged with the others' })).toBeVisible();
	await expect(verdicts.getByRole('link', { name: 'See what stops it' })).toBeVisible();
});
