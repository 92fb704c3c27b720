// Takes the screenshots of docs/screenshots from a running demo: node scripts/screenshots.mjs [address] [--only name,name] [--out folder]
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './steps/machine.mjs';

const option = (name) => (process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : null);
const address = process.argv.slice(2).find((a) => a.startsWith('http')) ?? 'http://127.0.0.1:5310';
const only = option('--only')?.split(',') ?? null;
const out = option('--out') ?? join(root, 'docs', 'screenshots');
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const { items } = await fetch(`${address}/api/v1/banks`).then((r) => r.json());
const idOf = (name) => items.find((b) => b.name === name).id;
const cellOf = async (prefix) => {
	const { items: cells } = await fetch(`${address}/api/v1/cells?size=500`).then((r) => r.json());
	return cells.find((c) => c.label.startsWith(prefix)).id;
};

const views = [
	{ name: 'home', path: '/', size: WIDE },
	{ name: 'plan', path: `/banks/${idOf('Heronry')}/plan`, size: WIDE },
	{ name: 'receive', path: `/banks/${idOf('Heronry')}/receive`, size: WIDE },
	{ name: 'receive-coal', path: `/banks/${idOf('Heronry')}/receive`, size: WIDE, theme: 'coal' },
	{ name: 'receive-phone', path: `/banks/${idOf('Heronry')}/receive`, size: PHONE },
	{ name: 'test', path: `/banks/${idOf('Cogwheel')}/test`, size: WIDE },
	{ name: 'match', path: `/banks/${idOf('Cogwheel')}/match`, size: WIDE },
	{ name: 'balance', path: `/banks/${idOf('Cogwheel')}/balance`, size: WIDE },
	{ name: 'limits', path: `/banks/${idOf('Damson Rise')}/limits`, size: WIDE },
	{ name: 'serve', path: `/banks/${idOf('Damson Rise')}/serve`, size: WIDE },
	{ name: 'serve-coal', path: `/banks/${idOf('Damson Rise')}/serve`, size: WIDE, theme: 'coal' },
	{ name: 'passport', path: `/cells/${await cellOf('C-04')}`, size: WIDE },
	{ name: 'settings', path: '/settings', size: WIDE },
	{ name: 'balance-phone', path: `/banks/${idOf('Cogwheel')}/balance`, size: PHONE }
];

mkdirSync(out, { recursive: true });
const setTheme = (theme) =>
	fetch(`${address}/api/v1/settings`, {
		method: 'PATCH',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ theme })
	});
const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
});
for (const view of views.filter((v) => !only || only.includes(v.name))) {
	await setTheme(view.theme ?? 'ash');
	const page = await browser.newPage({ viewport: view.size });
	page.on('pageerror', (error) => console.error(`${view.name}: ${error.message}`));
	page.on('console', (message) => message.type() === 'error' && console.error(`${view.name}: ${message.text()}`));
	await page.goto(address + view.path, { waitUntil: 'networkidle' });
	await page.waitForTimeout(300);
	await page.screenshot({ path: join(out, `${view.name}.png`) });
	await page.close();
	console.log(`${view.name}.png`);
}
await setTheme('ash');
await browser.close();
