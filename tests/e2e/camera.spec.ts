import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { toBuffer } from 'qrcode';
import sharp from 'sharp';
import { expect, test } from '../support/e2e';

const CODE = '0MECB23QUAY014G1E0006001';

/** A film of one code lying still, as a camera would see it: pictures one after the other. */
async function film(): Promise<string> {
	const code = { input: await toBuffer(CODE, { margin: 3, width: 260 }), left: 190, top: 110 };
	const frame = await sharp({ create: { width: 640, height: 480, channels: 3, background: '#8d8880' } })
		.composite([code])
		.jpeg({ quality: 92 })
		.toBuffer();
	const path = join(mkdtempSync(join(tmpdir(), 'camera-')), 'code.mjpeg');
	writeFileSync(path, Buffer.concat(Array.from({ length: 30 }, () => frame)));
	return path;
}

test('a code held before the camera is read and put to its cell', async ({ baseURL, request }) => {
	const send = async (kind: string, data: object) =>
		(await (await request.post(`/api/v1/${kind}`, { data })).json()) as { id: number };
	const bank = await send('banks', { name: 'Lens', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-11-20', cellCount: 4, labelPrefix: 'K' };
	await send('deliveries', crate);
	const browser = await chromium.launch({
		executablePath: '/usr/bin/chromium',
		args: [
			...['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
			...['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'],
			`--use-file-for-fake-video-capture=${await film()}`
		]
	});
	try {
		const page = await browser.newPage({ baseURL, viewport: { width: 390, height: 844 } });
		await page.goto(`/banks/${bank.id}/receive/codes`);
		await page.waitForSelector('html[data-awake]');
		await page.getByRole('button', { name: /^K-03/ }).click();
		await page.getByRole('button', { name: 'By camera' }).click();
		await expect(page.getByText('1 code found')).toBeVisible({ timeout: 60_000 });
		await expect(page.getByRole('button', { name: 'Close the camera' })).toBeHidden();
		await page.getByRole('button', { name: 'Keep them' }).click();
		await expect(page.getByText('1 of 4 codes read')).toBeVisible();
		await page.getByRole('button', { name: /^K-03/ }).click();
		await expect(page.getByRole('textbox', { name: 'Code of K-03' })).toHaveValue(CODE);
	} finally {
		await browser.close();
	}
});

test('without a camera it says so, and the photo is still there', async ({ page, request }) => {
	const bank = (await (
		await request.post('/api/v1/banks', {
			data: { name: 'No lens', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json()) as { id: number };
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-11-20', cellCount: 4, labelPrefix: 'K' };
	await request.post('/api/v1/deliveries', { data: crate });
	await page.goto(`/banks/${bank.id}/receive/codes`);
	await page.getByRole('button', { name: 'By camera' }).click();
	await expect(page.getByRole('alert')).toContainText('take a photo instead');
	await page.getByRole('button', { name: 'Close the camera' }).click();
	await expect(page.getByText('Read codes off a photo')).toBeVisible();
});
