import { awake, expect, test, type Page } from '../support/e2e';

test.use({ actionTimeout: 15_000 });

/** A bank that has cells with a sheet, and nothing else. */
async function freshBank(page: Page, name: string): Promise<string> {
	const type = await (
		await page.request.post('/api/v1/cell-types', {
			data: {
				name: `${name} cell`,
				chemistry: 'LFP',
				ratedAh: 230,
				massKg: 4.1,
				widthMm: 174,
				thicknessMm: 54,
				heightMm: 207,
				chargeLimitV: 3.65,
				dischargeLimitV: 2.5,
				chargeColdC: 0,
				dischargeColdC: -20,
				chargeCRate: 0.5,
				dischargeCRate: 1
			}
		})
	).json();
	const bank = await page.request.post('/api/v1/banks', {
		data: { name, bankUse: 'cabin', chemistry: 'LFP', series: 4, parallel: 1, cellTypeId: type.id }
	});
	return `/banks/${(await bank.json()).id}`;
}
const planOf = async (page: Page, base: string) =>
	(await (await page.request.get(`/api/v1/plans?bankId=${base.split('/')[2]}`)).json()).items[0];

test('from nothing to a chosen layout, a year and a list of what to buy, by mouse', async ({ page }) => {
	test.setTimeout(120_000);
	const base = await freshBank(page, 'Reedbed');
	await page.goto(`${base}/plan/need`);
	await expect(page.getByText('Begin with what is to run.')).toBeVisible();
	await page.getByLabel('Add a thing').selectOption('Fridge, compressor');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('button', { name: /^Fridge, compressor/ })).toContainText('420 Wh');
	await page.getByLabel('Add a thing').selectOption('Kettle');
	await page.getByRole('button', { name: 'Add it' }).click();
	await page.getByRole('button', { name: /^Kettle/ }).click();
	await page.getByLabel('Hours of the day').fill('noon');
	await page.getByLabel('While it runs').click();
	await expect(page.getByText('Write hours like 7–9, 18–23, or all day.')).toBeVisible();
	await page.getByLabel('Hours of the day').fill('7-8, 17-18');
	await page.getByLabel('While it runs').click();
	await page.getByLabel('While it runs').fill('2000');
	await page.getByLabel('How many').click();
	await expect(page.getByRole('button', { name: /^Kettle/ })).toContainText('400 Wh');
	// Through the usual inverter: 2000 W ÷ 0.9 and the fridge, its own idle draw and standby.
	await expect(page.getByText('2287 W')).toBeVisible();

	await page.getByRole('link', { name: 'Layout', exact: true }).click();
	await page.getByLabel(/^A cell costs/).fill('78');
	await page.getByLabel(/^A BMS costs/).fill('112,50');
	await page.getByLabel(/^A BMS costs/).press('Enter');
	await expect(page.getByRole('group', { name: 'Price against usable energy' })).toBeVisible();
	const card = page.getByRole('list', { name: 'Layouts side by side' }).getByRole('listitem');
	await expect(card.first()).toContainText('a usable kWh');
	await page.getByText('All that can be').click();
	await page.getByRole('listitem').filter({ hasText: /^8S1P/ }).getByRole('button', { name: 'Compare' }).click();
	await card.filter({ hasText: '8S1P' }).getByRole('button', { name: 'Choose it' }).click();
	await expect(card.filter({ hasText: '8S1P' }).getByText('This is the bank.')).toBeVisible();

	await page.getByRole('link', { name: 'Year', exact: true }).click();
	await expect(page.getByText('Say where it stands')).toBeVisible();
	await page.getByLabel(/^Latitude/).fill('52.9');
	await page.getByLabel(/^Latitude/).press('Enter');
	await page.getByText('Panels', { exact: true }).first().click();
	await page.getByRole('button', { name: 'Add panels' }).click();
	await expect(page.getByText('of the days end empty').first()).toBeVisible({ timeout: 30_000 });
	await expect(page.getByRole('img', { name: /Charge at the end of each day/ })).toBeVisible();

	await page.getByRole('link', { name: 'To buy', exact: true }).click();
	await page.getByText('What it costs').click();
	await page.getByLabel('What', { exact: true }).fill('Cells');
	await page.getByRole('textbox', { name: 'How many', exact: true }).fill('8');
	await page.getByLabel(/^One costs/).fill('78,25');
	await page.getByRole('button', { name: 'Put it on the list' }).click();
	await expect(page.getByText('8 × Cells')).toBeVisible();
	await expect(page.getByText('626 €', { exact: false }).first()).toBeVisible();
	await page.getByRole('button', { name: 'Keep today’s prices' }).click();
	await page.getByText('Paste a list').click();
	await page.getByLabel(/^Name, how many/).fill('BMS 8S\t1\t112,50\nno price\t1\tx');
	await expect(page.getByText('Line 2 could not be read and stays out.')).toBeVisible();
	await page.getByRole('button', { name: 'Put 1 line on the list' }).click();
	await expect(page.getByText('BMS 8S new')).toBeVisible();
	await page.getByText('Does it fit the box').click();
	for (const [side, mm] of [
		['Length', '445'],
		['Width', '190'],
		['Height', '262']
	] as const) {
		await page.getByLabel(new RegExp(`^${side}`)).fill(mm);
		await page.getByLabel(new RegExp(`^${side}`)).press('Enter');
	}
	await expect(page.getByText('No way fits. What lacks least is short by 6 mm in length.')).toBeVisible();
	await expect(page.getByRole('heading', { name: 'The box is 6 mm short' }).first()).toBeVisible();

	const plan = await planOf(page, base);
	expect(plan).toMatchObject({
		latitudeDeg: 52.9,
		cellPrice: 78,
		bmsPrice: 112.5,
		box: { lengthMm: 445, widthMm: 190 }
	});
	expect(plan.loads.map((l: { name: string; w: number }) => [l.name, l.w])).toEqual([
		['Fridge, compressor', 50],
		['Kettle', 2000]
	]);
	await page.reload();
	await page.getByText('What it costs').click();
	await expect(page.getByText('8 × Cells')).toBeVisible();
});

test('by keyboard alone: a load, a price, a layout pinned on the chart and chosen', async ({ page }) => {
	const base = await freshBank(page, 'Keyreed');
	await page.goto(`${base}/plan/need`);
	await page.getByLabel('Add a thing').focus();
	await page.keyboard.type('Fridge');
	await page.keyboard.press('Tab');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: /^Fridge/ })).toBeVisible();
	await page.goto(`${base}/plan/layout`);
	await page.getByLabel(/^A cell costs/).focus();
	await page.keyboard.type('80');
	await page.keyboard.press('Tab');
	await page.keyboard.type('100');
	await page.keyboard.press('Enter');
	const dots = page.getByRole('group', { name: 'Price against usable energy' }).getByRole('button');
	// The first is what the bank is already.
	await dots.nth(1).focus();
	await page.keyboard.press('Enter');
	await expect(dots.nth(1)).toHaveAttribute('aria-pressed', 'true');
	const choose = page.getByRole('button', { name: 'Choose it' });
	await choose.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('This is the bank.')).toBeVisible();
});

test('two tabs do not overwrite each other’s plan', async ({ page, context }) => {
	const base = await freshBank(page, 'Twofold');
	await page.goto(`${base}/plan/layout`);
	await page.getByLabel(/^A cell costs/).fill('70');
	await page.getByLabel(/^A cell costs/).press('Enter');
	await expect.poll(async () => (await planOf(page, base))?.cellPrice).toBe(70);
	const other = await context.newPage();
	await other.goto(`${base}/plan/layout`);
	await awake(other);
	await other.getByLabel(/^A BMS costs/).fill('99');
	await other.getByLabel(/^A BMS costs/).press('Enter');
	await expect.poll(async () => (await planOf(page, base))?.bmsPrice).toBe(99);
	// The first has followed by itself.
	await expect(page.getByLabel(/^A BMS costs/)).toHaveValue('99');
	await page.getByLabel(/^A cell costs/).fill('71');
	await page.getByLabel(/^A cell costs/).press('Enter');
	await expect.poll(async () => (await planOf(page, base))?.cellPrice).toBe(71);
	expect(await planOf(page, base)).toMatchObject({ bmsPrice: 99 });
	// What is no number stays typed, is said, and costs nothing that was kept.
	await page.getByLabel(/^A cell costs/).fill('7o');
	await page.getByLabel(/^A BMS costs/).click();
	await expect(page.getByText('Write a number, like 280.4.')).toBeVisible();
	await expect(page.getByLabel(/^A cell costs/)).toHaveValue('7o');
	expect(await planOf(page, base)).toMatchObject({ cellPrice: 71 });
});

const TITLES = {
	need: 'What must it run?',
	layout: 'Which layout?',
	year: 'Will it last the year?',
	buy: 'What must be there first?'
};

test.describe('in a hand', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
	test('every view of the plan stays in its width', async ({ page }) => {
		// Other tests make banks meanwhile: it may stand on any page.
		let id: number | undefined;
		for (let at = 1; id === undefined && at < 20; at++) {
			const { items } = await (await page.request.get(`/api/v1/banks?size=100&page=${at}`)).json();
			id = (items as { id: number; name: string }[]).find((b) => b.name === 'Fenwatch')?.id;
		}
		for (const view of ['need', 'layout', 'year', 'buy'] as const) {
			await page.goto(`/banks/${id}/plan/${view}`);
			await expect(page.getByRole('heading', { level: 1 })).toHaveText(TITLES[view]);
			if (view === 'year')
				await expect(page.getByText('of the days end empty').first()).toBeVisible({ timeout: 30_000 });
			if (view === 'buy') for (const fold of await page.locator('details.fold > summary').all()) await fold.tap();
			expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(390);
		}
	});
});
