// Takes the screenshots of docs/screenshots from a running demo: node scripts/screenshots.mjs [address] [--only name,name] [--out folder]
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { apiAt } from './steps/api.mjs';
import { root } from './steps/machine.mjs';

const option = (name) => (process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : null);
const address = process.argv.slice(2).find((a) => a.startsWith('http')) ?? 'http://127.0.0.1:5310';
const only = option('--only')?.split(',') ?? null;
const out = option('--out') ?? join(root, 'docs', 'screenshots');
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const { get, list, post, patch } = apiAt(address);
const items = await list('banks');
const idOf = (name) => items.find((b) => b.name === name).id;
const cellOf = async (prefix) => {
	const cells = await list('cells?size=500');
	return cells.find((c) => c.label.startsWith(prefix)).id;
};

/** A rehearsal that was ended with some things caught and some missed. */
async function endedRehearsal() {
	const { id } = await post('rehearsals', { ready: 'everything' });
	const [delivery] = await list(`deliveries?bankId=${id}`);
	const cells = await list(`cells?deliveryId=${delivery.id}`);
	const tools = await list('instruments?size=100');
	for (const cell of cells)
		for (const kind of ['voltmeter', 'ohmmeter'])
			await post(`banks/${id}/measure`, {
				cellId: cell.id,
				instrumentId: tools.find((t) => t.kind === kind && t.bundled).id
			});
	const { suggested } = await get(`banks/${id}/rehearsal`);
	const guesses = [
		{ kind: 'biased-tester', where: null },
		{ kind: 'open-lead', where: '3' }
	];
	await post(`banks/${id}/rehearsal/reveal`, { conclusions: [...suggested, ...guesses] });
	return id;
}

/** A capacity run on the simulated bench, some hours into its discharge. */
async function liveRun() {
	const { id } = await post('rehearsals', { ready: 'first-crate' });
	const [delivery] = await list(`deliveries?bankId=${id}`);
	const cells = await list(`cells?deliveryId=${delivery.id}`);
	const tools = await list('instruments?size=100');
	const tool = (kind) => tools.find((t) => t.kind === kind && t.bundled).id;
	const { run, values } = await post('live-runs', {
		bankId: id,
		kind: 'capacity',
		cellId: cells[1].id,
		temperatureC: 21,
		instruments: { supply: tool('supply'), load: tool('load'), voltmeter: tool('voltmeter') },
		phases: [
			{ kind: 'charge', voltageV: 3.65, currentA: 50, tailA: 5 },
			{ kind: 'rest', durationS: 1800 },
			{ kind: 'discharge', currentA: 20, cutoffV: 2.5 },
			{ kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 5, stopAh: 50 }
		]
	});
	await post(`live-runs/${run.id}/begin`, { confirmed: values });
	await new Promise((done) => setTimeout(done, 16_000));
	return { bankId: id, runId: run.id };
}

/** A rehearsed battery whose balance leads have been read with the plug out. */
async function readLeads() {
	const { id } = await post('rehearsals', { ready: 'everything' });
	const [delivery] = await list(`deliveries?bankId=${id}`);
	const cells = await list(`cells?deliveryId=${delivery.id}`);
	const voltmeter = (await list('instruments?size=100')).find((t) => t.kind === 'voltmeter' && t.bundled);
	for (const cell of cells) await post(`banks/${id}/measure`, { cellId: cell.id, instrumentId: voltmeter.id });
	await post(`banks/${id}/match`, { groups: cells.slice(0, 8).map((c) => [c.id]), despite: 'a rehearsal' });
	await post(`banks/${id}/rehearsal/hands`, { wire: 'series', plugged: false });
	const [battery] = await list(`batteries?bankId=${id}`);
	const readingsV = [];
	for (let lead = 0; lead <= 8; lead++) {
		const { voltageV } = await post(`banks/${id}/read-battery`, { instrumentId: voltmeter.id, lead });
		readingsV.push(Number(voltageV.toFixed(3)));
	}
	const zero = await post(`banks/${id}/read-battery`, { instrumentId: voltmeter.id, lead: 0, positive: true });
	const positiveV = readingsV.map((_, lead) => (lead === 0 ? Number(zero.voltageV.toFixed(3)) : null));
	await post('lead-readings', { batteryId: battery.id, readAt: new Date().toISOString(), readingsV, positiveV });
	return id;
}
const wanted = (name) => !only || only.includes(name);
const truthId = wanted('truth') ? await endedRehearsal() : null;
const leadsId = wanted('build') ? await readLeads() : null;
const live = wanted('live-phone') ? await liveRun() : null;

const views = [
	{ name: 'steps', path: `/banks/${idOf('Fenwatch')}/balance/steps`, size: WIDE },
	{ name: 'live-phone', path: `/banks/${live?.bankId}/live/${live?.runId}`, size: PHONE },
	{ name: 'truth', path: `/banks/${truthId}/rehearsal`, size: WIDE },
	{ name: 'build', path: `/banks/${leadsId}/build/leads`, size: WIDE },
	{ name: 'prove', path: `/banks/${idOf('Damson Rise')}/prove/joints`, size: WIDE },
	{ name: 'year', path: `/banks/${idOf('Fenwatch')}/plan/year`, size: WIDE, waitMs: 5000 },
	{ name: 'home', path: '/', size: WIDE },
	{ name: 'plan', path: `/banks/${idOf('Fenwatch')}/plan/need`, size: WIDE },
	{ name: 'receive', path: `/banks/${idOf('Heronry')}/receive/readings`, size: WIDE },
	{ name: 'stock', path: '/stock', size: WIDE },
	{ name: 'look-phone', path: `/banks/${idOf('Heronry')}/receive/look`, size: PHONE },
	{ name: 'queue', path: `/banks/${idOf('Heronry')}/test/queue`, size: WIDE, waitMs: 3000 },
	{ name: 'test', path: `/banks/${idOf('Cogwheel')}/test/results`, size: WIDE },
	{ name: 'match', path: `/banks/${idOf('Cogwheel')}/match`, size: WIDE },
	{ name: 'balance', path: `/banks/${idOf('Cogwheel')}/balance/charge`, size: WIDE },
	{ name: 'limits', path: `/banks/${idOf('Damson Rise')}/limits`, size: WIDE },
	{ name: 'serve', path: `/banks/${idOf('Damson Rise')}/serve/findings`, size: WIDE },
	{ name: 'vessels', path: `/banks/${idOf('Cogwheel')}/balance/vessels`, size: WIDE, theme: 'coal' },
	{ name: 'passport', path: `/cells/${await cellOf('C-04')}`, size: WIDE }
];

mkdirSync(out, { recursive: true });
const setTheme = (theme) => patch('settings', { theme });
const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
});
for (const view of views.filter((v) => wanted(v.name))) {
	await setTheme(view.theme ?? 'ash');
	const page = await browser.newPage({ viewport: view.size });
	page.on('pageerror', (error) => console.error(`${view.name}: ${error.message}`));
	page.on('console', (message) => message.type() === 'error' && console.error(`${view.name}: ${message.text()}`));
	// A page never falls silent while anything is live.
	// The card for those who come back after a pause belongs on no picture.
	await page.addInitScript(() => {
		for (let id = 1; id < 60; id++) sessionStorage.setItem(`kind-ember-where-${id}`, 'known');
	});
	await page.goto(address + view.path);
	await page.waitForSelector('html[data-awake]');
	await page.waitForTimeout(view.waitMs ?? 1500);
	// What rings by the time of day covers what is shown.
	await page.evaluate(() => {
		for (const shown of document.querySelectorAll('[data-sonner-toaster]')) shown.style.display = 'none';
	});
	await page.screenshot({ path: join(out, `${view.name}.png`) });
	await page.close();
	console.log(`${view.name}.png`);
	// Its alarm belongs on no other picture.
	if (view.name === 'live-phone') await post(`live-runs/${live.runId}/stop`, {});
}
await setTheme('ash');
await browser.close();
