import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, type APIRequestContext } from './e2e';

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

/** Cells that came as modules, one of them damaged. */
async function modulesView(request: APIRequestContext): Promise<string> {
	const post = async (path: string, data: object) =>
		((await (await request.post(`/api/v1/${path}`, { data })).json()) as Named).id;
	const bank = { name: 'Osier', bankUse: 'cabin', chemistry: 'LFP', series: 16, parallel: 1 };
	const bankId = await post('banks', bank);
	const crate = { bankId, name: 'Yard', receivedOn: '2026-05-01', cellCount: 16, labelPrefix: 'S' };
	const deliveryId = await post('deliveries', { ...crate, moduleSeries: 8, moduleParallel: 1 });
	await post('modules', { deliveryId, number: 1, voltageV: 26.4, seen: ['swelling'] });
	return `/banks/${bankId}/receive/modules`;
}

/** Every main view of the demo banks, and of rehearsals made for it. */
export async function mainViews(request: APIRequestContext): Promise<string[]> {
	const { items } = (await (await request.get('/api/v1/banks?size=100')).json()) as { items: Named[] };
	const id = (name: string) => items.find((b) => b.name === name)!.id;
	const cells = (await (await request.get('/api/v1/cells?size=1')).json()) as { items: Named[] };
	const [heronry, cogwheel, damson] = ['Heronry', 'Cogwheel', 'Damson Rise'].map(id);
	const rehearsal = await rehearsedRun(request);
	const modules = await modulesView(request);
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
		modules,
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

/** Views are accessible in both themes, run without an error and stay in their width. */
export async function checkViews(page: Page, request: APIRequestContext, paths: readonly string[]): Promise<void> {
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
	for (const path of paths) {
		await page.setViewportSize({ width: 1280, height: 800 });
		await page.goto(path);
		await axe(path, (a) => a.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']));
		// All but the colours is the same by night.
		await page.evaluate(() => (document.documentElement.dataset.theme = 'coal'));
		await axe(`${path} in coal`, (a) => a.withRules(['color-contrast']));
		await page.setViewportSize({ width: 360, height: 780 });
		// What is folded on a phone stays in its width, too.
		await page.evaluate(() =>
			document.querySelectorAll<HTMLElement>('button.fold[aria-expanded="false"]').forEach((fold) => fold.click())
		);
		await expect
			.configure({ soft: true })
			.poll(() => page.evaluate(standingOut), { message: `${path} at 360` })
			.toEqual([]);
	}
	expect(errors).toEqual([]);
}
