import AxeBuilder from '@axe-core/playwright';
import { expect, test, type APIRequestContext } from '../support/e2e';

interface Named {
	id: number;
	name: string;
	label: string;
}
/** A rehearsal with a live run that has been stopped: the bench, the run, testing live, and the truth of another. */
async function rehearsedRun(request: APIRequestContext): Promise<string[]> {
	const post = async <T>(path: string, data: object) =>
		(await (await request.post(`/api/v1/${path}`, { data })).json()) as T;
	const bank = await post<Named>('rehearsals', { seed: 12 });
	const get = async (path: string) =>
		((await (await request.get(`/api/v1/${path}`)).json()) as { items: Named[] }).items;
	const [delivery] = await get(`deliveries?bankId=${bank.id}`);
	const [cell] = await get(`cells?deliveryId=${delivery!.id}`);
	const [load] = await get('instruments?kind=load');
	const { run, values } = await post<{ run: Named; values: string[] }>('live-runs', {
		bankId: bank.id,
		kind: 'capacity',
		cellId: cell!.id,
		instruments: { load: load!.id },
		phases: [{ kind: 'discharge', currentA: 5, cutoffV: 2.5 }]
	});
	await post(`live-runs/${run.id}/begin`, { confirmed: values });
	await new Promise((done) => setTimeout(done, 1500));
	await post(`live-runs/${run.id}/stop`, {});
	const closed = await post<Named>('rehearsals', { ready: 'everything' });
	await post(`banks/${closed.id}/rehearsal/reveal`, { conclusions: [{ kind: 'weak-cell', where: 'R-01' }] });
	return [
		`/banks/${bank.id}/rehearsal`,
		`/banks/${bank.id}/live/${run.id}`,
		`/banks/${bank.id}/test`,
		`/banks/${closed.id}/rehearsal`
	];
}

async function paths(request: APIRequestContext): Promise<string[]> {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const id = (name: string) => items.find((b) => b.name === name)!.id;
	const cells = (await (await request.get('/api/v1/cells?size=1')).json()) as { items: Named[] };
	const [heronry, cogwheel, damson] = ['Heronry', 'Cogwheel', 'Damson Rise'].map(id);
	const rehearsal = await rehearsedRun(request);
	return [
		'/',
		'/banks/new',
		'/settings',
		`/banks/${heronry}/plan`,
		...['need', 'layout', 'year', 'buy'].map((view) => `/banks/${id('Fenwatch')}/plan/${view}`),
		...['readings', 'look', 'codes', 'order', 'report'].map((view) => `/banks/${heronry}/receive/${view}`),
		...['notes', 'queue', 'witnesses', 'loads'].map((view) => `/banks/${heronry}/test/${view}`),
		`/banks/${cogwheel}/test/results`,
		`/banks/${cogwheel}/match`,
		...['charge', 'method', 'steps', 'join', 'bars', 'links', 'vessels'].map(
			(view) => `/banks/${cogwheel}/balance/${view}`
		),
		`/banks/${cogwheel}/build/leads`,
		`/banks/${cogwheel}/build/joints`,
		`/banks/${cogwheel}/build/wiring`,
		`/banks/${cogwheel}/build/parts`,
		`/banks/${damson}/limits`,
		`/banks/${damson}/build/leads`,
		`/banks/${cogwheel}/prove/gate`,
		`/banks/${cogwheel}/prove/joints`,
		`/banks/${cogwheel}/prove/bms`,
		`/banks/${cogwheel}/prove/charge`,
		'/taken-out',
		...['findings', 'logs', 'ageing'].map((view) => `/banks/${damson}/serve/${view}`),
		`/cells/${cells.items[0]!.id}`,
		'/instruments',
		'/rehearse',
		...rehearsal,
		'/nowhere'
	];
}

/** What stands out of a page that is wider than its window; nothing where it is not. Runs in the page. */
function standingOut(): string[] {
	const { scrollWidth, clientWidth } = document.documentElement;
	if (scrollWidth <= clientWidth) return [];
	const wide = [...document.querySelectorAll('body *')].filter(
		(e) => e.getBoundingClientRect().right > clientWidth + 1
	);
	return [`${scrollWidth} px`, ...wide.slice(-3).map((e) => e.outerHTML.slice(0, 160))];
}

test('every main view is accessible in both themes, runs without an error and stays in its width', async ({
	page,
	request
}) => {
	test.setTimeout(600_000);
	// What is just fading in has no colour of its own yet.
	await page.emulateMedia({ reducedMotion: 'reduce' });
	const errors: string[] = [];
	page.on('pageerror', (e) => errors.push(e.message));
	page.on('console', (m) => m.type() === 'error' && !/404/.test(m.text()) && errors.push(m.text()));
	const axe = async (what: string, of: (axe: AxeBuilder) => AxeBuilder) => {
		const { violations } = await of(new AxeBuilder({ page })).analyze();
		const places = (nodes: (typeof violations)[0]['nodes']) => nodes.slice(0, 3).map((n) => n.target.join(' '));
		expect.soft(violations.map((v) => `${what} ${v.id}: ${places(v.nodes).join(' | ')}`)).toEqual([]);
	};
	const longName = 'Meter'.repeat(16);
	const shunt = { name: longName, kind: 'shunt', host: '127.0.0.1', port: 5026, unitId: 1 };
	await request.post('/api/v1/instruments', { data: shunt });
	for (const path of await paths(request)) {
		await page.setViewportSize({ width: 1280, height: 800 });
		await page.goto(path);
		await axe(path, (a) => a.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']));
		// All but the colours is the same by night.
		await page.evaluate(() => (document.documentElement.dataset.theme = 'coal'));
		await axe(`${path} in coal`, (a) => a.withRules(['color-contrast']));
		await page.setViewportSize({ width: 360, height: 780 });
		await expect
			.configure({ soft: true })
			.poll(() => page.evaluate(standingOut), { message: `${path} at 360` })
			.toEqual([]);
	}
	expect(errors).toEqual([]);
});

test('the theme chosen is there before the page is drawn', async ({ page, request }) => {
	for (const theme of ['coal', 'ash']) {
		await page.goto('/settings');
		const kept = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('radio', { name: new RegExp(theme, 'i') }).click();
		await kept;
		await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
		expect(await (await request.get('/')).text()).toContain(`data-theme="${theme}"`);
	}
});

test('two tabs cannot overwrite each other', async ({ page, secondPage: second, request }) => {
	const bank = (await (
		await request.post('/api/v1/banks', {
			data: { name: 'Two tabs', bankUse: 'other', chemistry: 'LFP', series: 4, parallel: 1 }
		})
	).json()) as Named;
	await page.goto(`/banks/${bank.id}/plan`);
	await second.goto(`/banks/${bank.id}/plan`);
	const type = async (tab: typeof page, notes: string) => {
		await tab.getByLabel('Cell type').selectOption({ index: 0 });
		await tab.getByLabel('Notes').fill(notes);
	};
	const save = (tab: typeof page) => tab.getByRole('button', { name: 'Save' }).click();
	await type(second, 'second');
	await type(page, 'first');
	// The other tab is told, and looks again: what is typed in it stays.
	const lookedAgain = second.waitForResponse((r) => r.url().includes('__data.json'));
	await save(page);
	await expect(page.getByText('Saved.')).toBeVisible();
	await lookedAgain;
	await expect(second.getByLabel('Notes')).toHaveValue('second');
	await save(second);
	await expect(second.getByText('was changed elsewhere', { exact: false })).toBeVisible();
	await expect(second.getByLabel('Notes')).toHaveValue('second');
	expect(((await (await request.get(`/api/v1/banks/${bank.id}`)).json()) as { notes: string }).notes).toBe('first');
});

test('American units stand in forms, drawings and reasons, and what is typed in them is stored in SI', async ({
	page,
	request
}) => {
	const { items } = await (await request.get('/api/v1/banks?size=100')).json();
	const bank = items.find((b: Named) => b.name === 'Cogwheel');
	const [battery] = (await (await request.get(`/api/v1/batteries?bankId=${bank.id}`)).json()).items;
	await request.patch('/api/v1/settings', { data: { units: 'us' } });
	try {
		await page.goto(`/banks/${bank.id}/build/joints`);
		await page.getByRole('checkbox').nth(1).check();
		await page.getByLabel('Torque (in·lb)').fill('40');
		await page.getByRole('button', { name: 'Tick 1 joint' }).click();
		await expect(page.getByText('The joint is ticked.')).toBeVisible();
		const { items: torques } = await (
			await request.get(`/api/v1/joint-torques?batteryId=${battery.id}&size=100`)
		).json();
		// 40 in·lb are 4.519 N·m.
		expect(torques.map((t: { torqueNm: number }) => t.torqueNm.toFixed(3))).toContain('4.519');
		await expect(page.locator('svg .joint-figure').first()).toHaveText('40');
		await page.goto(`/banks/${bank.id}/plan/buy`);
		const text = await page.locator('main').innerText();
		expect(text).toMatch(/\d lb/);
		expect(text).not.toMatch(/\d (kg|mm|°C|N·m)(?![²\w/])/);
	} finally {
		await request.patch('/api/v1/settings', { data: { units: 'metric' } });
	}
});

test('units and dates follow the settings', async ({ page, request }) => {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const damson = items.find((b) => b.name === 'Damson Rise')!.id;
	await page.goto('/settings');
	for (const choice of [/^US/, '2026-03-09']) {
		const kept = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('radio', { name: choice }).click();
		await kept;
		await expect(page.getByRole('radio', { name: choice })).toBeChecked();
	}
	await page.goto(`/banks/${damson}/limits`);
	await expect(page.getByRole('row', { name: /Charge too hot 113 °F 104 °F/ })).toBeVisible();
	await request.patch('/api/v1/settings', { data: { units: 'metric', dateStyle: 'day-first' } });
});

test('a bank goes out as a file and comes back whole', async ({ page, request }) => {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const cogwheel = items.find((b) => b.name === 'Cogwheel')!.id;
	const file = await (await request.get(`/api/v1/banks/${cogwheel}/export`)).body();
	await page.goto('/');
	await page.getByLabel('Bank file').setInputFiles({ name: 'bank.json', mimeType: 'application/json', buffer: file });
	await expect(page).toHaveURL(/\/plan$/);
	await page.getByRole('link', { name: /^Match/ }).click();
	await expect(page.getByRole('button', { name: 'Exchange C-01' })).toBeVisible();
	await page.goto('/');
	await page
		.getByLabel('Bank file')
		.setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{"a":1}') });
	await expect(page.getByText('this is not a bank exported from here', { exact: false })).toBeVisible();
});
