import { benchPort, expect, test, type APIRequestContext } from '../support/e2e';
import { openWire } from '../../stand-ins/testing/wire';

interface Named {
	id: number;
	kind: string;
	bundled: boolean;
	name: string;
}
async function ask<T>(request: APIRequestContext, method: 'get' | 'post', path: string, data?: object): Promise<T> {
	const response = await request[method](`/api/v1/${path}`, data ? { data } : {});
	const answer = await response.json();
	expect(response.ok(), JSON.stringify(answer)).toBe(true);
	return answer as T;
}
const list = async (request: APIRequestContext, path: string) =>
	(await ask<{ items: Named[] }>(request, 'get', path)).items;
const cellsOf = async (request: APIRequestContext, bankId: number) => {
	const [delivery] = await list(request, `deliveries?bankId=${bankId}`);
	return list(request, `cells?deliveryId=${delivery!.id}`);
};
async function begin(request: APIRequestContext, plan: object): Promise<number> {
	const { run, values } = await ask<{ run: { id: number }; values: string[] }>(request, 'post', 'live-runs', plan);
	await ask(request, 'post', `live-runs/${run.id}/begin`, { confirmed: values });
	return run.id;
}

test.afterEach(async ({ request }) => {
	for (const state of ['running', 'waiting'])
		for (const { id } of await list(request, `live-runs?state=${state}`))
			await ask(request, 'post', `live-runs/${id}/stop`, {});
});

test('a run that needs somebody rings on whatever page is open, and leads there', async ({ page }) => {
	const { request } = page;
	const bank = await ask<{ id: number }>(request, 'post', 'rehearsals', { ready: 'first-crate' });
	const [cell] = await cellsOf(request, bank.id);
	const tools = await list(request, 'instruments?size=100');
	const tool = (kind: string) => tools.find((t) => t.kind === kind && t.bundled)!.id;
	await ask(request, 'post', `banks/${bank.id}/rehearsal/hands`, { timeFactor: 60 });
	await begin(request, {
		bankId: bank.id,
		kind: 'watch',
		instruments: { shunt: tool('shunt') },
		phases: [{ kind: 'watch' }]
	});
	// A short discharge, then half an hour of charging: half a minute of ours.
	const run = await begin(request, {
		bankId: bank.id,
		kind: 'capacity',
		cellId: cell!.id,
		instruments: { supply: tool('supply'), load: tool('load') },
		phases: [
			{ kind: 'discharge', currentA: 50, cutoffV: 3.2 },
			{ kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 2, stopAh: 10 }
		]
	});
	await page.goto('/');
	const running = page.getByRole('region', { name: 'Running now' });
	await expect(running.getByRole('link', { name: /Capacity run of R-01/ })).toBeVisible();
	await running.getByText('and 1 more').click();
	await expect(running.getByRole('link', { name: /Watch of the battery/ })).toBeVisible();

	const rung = page.getByText(/10 Ah have gone in/);
	await expect(rung).toBeVisible({ timeout: 120_000 });
	await expect(page).toHaveTitle(/^\(!\)/);
	await page.getByRole('listitem').filter({ has: rung }).getByRole('button', { name: 'Open' }).click();
	await page.waitForURL(`**/live/${run}`);
	await expect(page.getByText(/^ended$/)).toBeVisible();
});

test('an output is not switched on across a cell that stands the other way round', async ({ page }) => {
	const { request } = page;
	const bank = await ask<{ id: number }>(request, 'post', 'rehearsals', {
		scenario: {
			format: 'kind-ember-scenario',
			formatVersion: 1,
			name: 'Crossed',
			story: 'One cell, printed the wrong way round.',
			seed: 7,
			chemistry: 'LFP',
			ratedAh: 100,
			series: 2,
			parallel: 1,
			cells: [{ label: 'R-01', printedReversed: true }, { label: 'R-02' }]
		}
	});
	await page.goto(`/banks/${bank.id}/test`);
	await page.getByRole('button', { name: 'Show the values' }).click();
	await page.waitForURL('**/live/*');
	await page.getByRole('button', { name: 'Switch on …' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'Switch on', exact: true }).click();
	await expect(page.getByText(/plus and minus are exchanged/)).toBeVisible();
	await expect(page.getByRole('button', { name: 'Switch on …' })).toBeVisible();

	await page.goto(`/banks/${bank.id}/rehearsal`);
	await page.getByRole('button', { name: /^R-01/ }).click();
	await expect(page.getByText(/^[-−]3\.\d{4} V$/)).toBeVisible();
});

test('a real cell is read with a meter of one’s own', async ({ page }) => {
	const { request } = page;
	const hands = await openWire(benchPort());
	const ports = JSON.parse(await hands.ask('SYST:INST?')) as { name: string; port: number }[];
	await ask(request, 'post', 'rehearsals', { seed: 11 });
	hands.send(`HAND:CLIP VOLT,'{"cell":0}'`);
	expect(await hands.ask('*OPC?')).toBe('1');
	hands.close();

	await page.goto('/instruments');
	const form = page.getByRole('form', { name: 'Add an instrument' });
	await form.getByLabel('Kind').selectOption('voltmeter');
	await form.getByLabel('Name').fill('Shelf meter');
	await form.getByLabel('Address').fill('127.0.0.1');
	await form.getByLabel('Port').fill(String(ports.find((p) => p.name === 'voltmeter')!.port));
	await form.getByRole('button', { name: 'Add it' }).click();
	const entry = page.getByRole('listitem').filter({ hasText: 'Shelf meter' }).first();
	await entry.getByRole('button', { name: 'Try it' }).click();
	await expect(entry.getByText(/^[-−]?3\.\d{3} V$/)).toBeVisible();

	const bank = await ask<{ id: number }>(request, 'post', 'banks', {
		name: 'Shelf',
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1
	});
	await ask(request, 'post', 'deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-05-01',
		cellCount: 2,
		labelPrefix: 'S'
	});
	await page.goto(`/banks/${bank.id}/receive`);
	await page.getByRole('button', { name: 'Read S-01' }).click();
	await expect(page.getByText('2 cells · 1 read · 1 to go')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Read S-02' })).toBeVisible();
	// The simulated bench measures no real cell: its meters are not offered here.
	await expect(page.getByRole('region', { name: 'Read with a meter' })).not.toContainText('simulated');
});
