import { expect, test } from '../support/e2e';

/** A discharge log of one hour or more at 20 A, in a spelling of its own: semicolons, decimal commas, mV, positive current. */
function log(ah: number): string {
	const rows = Array.from(
		{ length: 61 },
		(_, i) => `${((i * ah * 180) / 60).toFixed(1).replace('.', ',')};${(3300 - i * 13).toFixed(0)};20,0`
	);
	return ['Zeit (s);Spannung (mV);Strom (A)', ...rows].join('\r\n');
}

test('a crate becomes a bank in service, by keyboard and mouse', async ({ page }) => {
	await test.step('3 bank and cell type', async () => {
		await page.goto('/');
		await page.getByRole('link', { name: 'New bank' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Otter <b>Launch</b>');
		await page.getByRole('radio', { name: 'boat' }).click();
		await page.getByLabel('In series').fill('4');
		await page.getByLabel('Cell type').selectOption('new');
		await page.getByLabel('Type name').fill('Reed 100');
		await page.getByRole('button', { name: 'Make this bank' }).click();
		await expect(page.getByText('Rated (Ah) needs a number', { exact: false }).first()).toBeVisible();
		await page.getByLabel('Rated capacity').fill('100');
		await page.getByLabel('AC resistance').fill('0.35');
		await page.getByRole('button', { name: 'Make this bank' }).click();
		// What it must run is asked first.
		await expect(page).toHaveURL(/\/plan\/need$/);
		await expect(page.getByText('Otter <b>Launch</b>').first()).toBeVisible();
		await page.goto(page.url().replace('/plan/need', '/receive'));
	});

	const cell = (label: string) => page.getByRole('button', { name: new RegExp(`^${label},`) });
	await test.step('4 receive, down the tray by keyboard', async () => {
		await page.getByLabel('Number of cells').fill('6');
		await page.getByLabel('Label prefix').fill('W');
		await page.getByRole('button', { name: 'Lay them on the tray' }).click();
		await expect(cell('W-01')).toBeVisible();
		await expect(page.locator('#entry-field')).toBeFocused();
		for (const volts of ['3.294', '3,295', '3.293 V']) {
			await page.keyboard.type(volts);
			await page.keyboard.press('Enter');
		}
		await expect(cell('W-03')).toContainText('3.293');
		await page.keyboard.type('32.94');
		await page.keyboard.press('Enter');
		await expect(page.getByText('3.294 V or 32.940 V?')).toBeVisible();
		await page.getByRole('button', { name: 'Take 3.294 V' }).click();
		await expect(cell('W-04')).toContainText('3.294');
		await page.keyboard.type('3.111');
		await page.keyboard.press('Enter');
		await expect(cell('W-05')).toContainText('3.111');
		await expect(page.getByRole('heading', { name: /W-05 rests/ })).toBeVisible();
		await page.keyboard.press('Control+z');
		await expect(cell('W-05')).toContainText('·');
		await page.keyboard.type('3.296');
		await page.keyboard.press('Enter');
		await page.keyboard.type('3.294');
		await page.keyboard.press('Enter');
		await page.keyboard.press('r');
		await expect(page.getByRole('radio', { name: 'Milliohms' })).toBeChecked();
	});
	await test.step('4 receive, a pasted column', async () => {
		await cell('W-01').click();
		await page.evaluate(() => {
			const data = new DataTransfer();
			data.setData('text', 'Resistance\n0.350\n0.352\n0.349\n0.351\n0.353\n0.480');
			document
				.getElementById('entry-field')!
				.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
		});
		await page.getByRole('button', { name: 'Enter 6 values' }).click();
		await expect(cell('W-06')).toContainText('0.480');
		await expect(page.getByRole('heading', { name: /W-06 reads 37 % more resistance/ }).first()).toBeVisible();
		await page.reload();
		await expect(cell('W-06')).toContainText('0.480');
	});

	await test.step('5 test: a log and results by hand', async () => {
		await page.getByRole('link', { name: /^Test/ }).click();
		await page.getByLabel('Cell temperature').fill('25');
		await page
			.getByLabel('Log file')
			.setInputFiles({ name: 'w1.csv', mimeType: 'text/csv', buffer: Buffer.from(log(104)) });
		await expect(page.getByText('104.00 Ah')).toBeVisible();
		await expect(page.getByText('Discharge is written as positive current', { exact: false })).toBeVisible();
		await page.getByRole('button', { name: 'Store this run' }).click();
		await expect(page.getByRole('heading', { name: /W-01: 104/ })).toBeVisible();
		await expect(page.getByRole('img', { name: /V over Ah taken out/ })).toBeVisible();
		for (const [label, ah] of [
			['W-02', '101'],
			['W-03', '96'],
			['W-04', '103'],
			['W-05', '102.5'],
			['W-06', '103.5']
		]) {
			await cell(label!).click();
			await page.getByLabel('Cell temperature').fill('25');
			await page.getByLabel('Or the result by hand').fill(ah!);
			await page.getByRole('button', { name: 'Store by hand' }).click();
			await expect(cell(label!)).toContainText(Number(ah).toFixed(1));
		}
		await expect(page.getByRole('heading', { name: 'W-03 is below its rated capacity' }).first()).toBeVisible();
	});

	await test.step('6 match in a worker, move by hand, accept', async () => {
		await page.getByRole('link', { name: /^Match/ }).click();
		await page.getByRole('button', { name: 'Match the cells' }).click();
		await expect(page.getByRole('heading', { name: /Matching gains/ })).toBeVisible();
		await expect(page.getByLabel('Spares').getByText('W-03')).toBeVisible();
		await page.getByRole('button', { name: 'Exchange W-03' }).click();
		await page.getByRole('button', { name: 'Exchange W-01' }).click();
		await expect(page.getByText(/W-03 and W-01 changed places: smallest group −\d/)).toBeVisible();
		await page.getByRole('button', { name: 'Put them back' }).click();
		await page.getByRole('button', { name: 'Accept these groups' }).click();
		await expect(page.getByText(/^Placed /)).toBeVisible();
	});

	await test.step('7 balance: plan, checklist, log, and a refusal from the plateau', async () => {
		await page.getByRole('link', { name: 'On to Balance' }).click();
		// Their runs changed the cells' charge: what was read on arrival is no ground to join them on.
		await expect(page.getByRole('heading', { name: 'Do not join these cells yet' })).toBeVisible();
		const bankId = new URL(page.url()).pathname.split('/')[2];
		const list = async (path: string) =>
			((await (await page.request.get(`/api/v1/${path}`)).json()) as { items: { id: number }[] }).items;
		const [delivery] = await list(`deliveries?bankId=${bankId}`);
		for (const { id } of await list(`cells?deliveryId=${delivery!.id}`))
			await page.request.post('/api/v1/readings', {
				data: { cellId: id, quantity: 'restVoltage', rawText: '3.291' }
			});
		await page.reload();
		await expect(page.getByRole('heading', { name: 'Joining current stays within the limit' })).toBeVisible();
		await page.getByRole('button', { name: 'Plan this balance' }).click();
		const on = page.getByRole('button', { name: 'Record: supply switched on' });
		await expect(on).toBeDisabled();
		for (const box of await page.getByRole('checkbox').all()) {
			await box.check();
			await expect(box).toBeChecked();
		}
		await expect(on).toBeEnabled();
		await on.click();
		await page.getByLabel(/^Supply.*\(V\)/).fill('3.50');
		await page.getByLabel(/^Supply.*\(A\)/).fill('20');
		await page.getByLabel('Cells, meter').fill('3.300');
		await page.getByRole('button', { name: 'Log it' }).click();
		await expect(page.getByText('leads 10 mΩ', { exact: false })).toBeVisible();
		await page.getByLabel('Voltages of the 4 groups').fill('3.331 3.332 3.330 3.331');
		await page.getByRole('button', { name: 'Ask' }).click();
		await expect(page.getByRole('heading', { name: 'These readings cannot tell' })).toBeVisible();
		await page.getByRole('button', { name: 'Record: supply switched off, end' }).click();
		// At 20 A it is not done: it is asked about, ended as such, and can be gone on with.
		await page.getByRole('button', { name: 'Let it go on' }).click();
		await page.getByRole('button', { name: 'Record: supply switched off, end' }).click();
		await page.getByRole('button', { name: 'End it, not proved balanced' }).click();
		await expect(page.getByRole('heading', { name: /^Ended at \d+ to \d+ %, not proved balanced$/ })).toBeVisible();
		await expect(page.getByText('leads 10 mΩ', { exact: false })).toBeVisible();
		await page.getByRole('button', { name: 'Go on with this balance' }).click();
		await expect(page.getByRole('button', { name: 'Log it' })).toBeVisible();
		await page.getByRole('button', { name: 'Record: supply switched off, end' }).click();
		await page.getByRole('button', { name: 'End it, not proved balanced' }).click();
		await expect(page.getByText(/Last one ended/)).toBeVisible();
	});

	await test.step('8 limits with reasons', async () => {
		await page.getByRole('link', { name: /^Limits/ }).click();
		await page.getByLabel('Main fuse').fill('100');
		await page.getByRole('radio', { name: 'Long life' }).click();
		await page.getByRole('button', { name: 'Keep these' }).click();
		await expect(page.getByRole('row', { name: /Cell high 3\.600 V 3\.420 V/ })).toBeVisible();
		await expect(page.getByRole('row', { name: /Over-current, discharge 80\.0 A/ })).toBeVisible();
		const [file] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('button', { name: 'JSON' }).click()
		]);
		expect(file.suggestedFilename()).toMatch(/limits\.json$/);
	});

	await test.step('9 serve: a wrong context, then drift, then fade', async () => {
		await page.getByRole('link', { name: /^Serve/ }).click();
		await page.getByRole('link', { name: 'Log a check or a capacity test' }).click();
		const groups = (volts: string[]) =>
			Promise.all([]).then(async () => {
				for (const [i, v] of volts.entries()) await page.getByLabel(`Group ${i + 1}, volts`).fill(v);
			});
		await page.getByRole('radio', { name: 'At rest' }).click();
		await page.getByLabel(/^Current/).fill('0');
		await groups(['3.331', '3.332', '3.330', '3.331']);
		await page.getByRole('button', { name: 'Log the check' }).click();
		await expect(page.getByRole('heading', { name: 'Kept, not judged' }).first()).toBeVisible();
		await page.getByRole('radio', { name: 'Full: end of charge' }).click();
		await page.getByLabel(/^Current/).fill('1');
		await groups(['3.460', '3.347', '3.460', '3.460']);
		await page.getByRole('button', { name: 'Log the check' }).click();
		await expect(
			page.getByRole('heading', { name: /^Group 2 is at least \d+\.\d Ah behind at the top$/ }).first()
		).toBeVisible();
		await page.getByLabel('Capacity', { exact: false }).last().fill('101');
		await page.getByRole('button', { name: 'Log the test' }).click();
		await expect(page.getByText('101.0 ± 2.0 Ah')).toBeVisible();
		await page.getByRole('link', { name: 'Ageing' }).click();
		await expect(page.getByRole('img', { name: /Capacity as a fraction of rated/ })).toBeVisible();
		await expect(page.getByText('Almost all of this is what is typical', { exact: false }).first()).toBeAttached();
	});

	await test.step('10 passport, 11 home', async () => {
		await page.getByRole('link', { name: /^Receive/ }).click();
		await cell('W-01').click();
		await page.getByRole('link', { name: 'Passport of W-01' }).click();
		await expect(page.getByText('Capacity run: 104.0 Ah')).toBeVisible();
		await expect(page.getByText('Placed in Otter <b>Launch</b>')).toBeVisible();
		await page.getByLabel('Add a note').fill('<script>alert(1)</script>');
		await page.getByRole('button', { name: 'Keep the note' }).click();
		await expect(page.getByText('<script>alert(1)</script>')).toBeVisible();
		await page.goto('/');
		await expect(page.getByRole('heading', { name: 'Otter <b>Launch</b>' }).first()).toBeVisible();
	});
});
