import { test as base, type Page } from '@playwright/test';
import { ofWorker } from './of-worker';

export { expect, type APIRequestContext, type Page } from '@playwright/test';

/** Until the page listens to clicks and keys: one that was only sent by the server loses them. */
export const awake = (page: Page): Promise<unknown> => page.waitForSelector('html[data-awake]');

/** Opening and reloading wait until the page is {@link awake}. */
function wakeful(page: Page): Page {
	const { goto, reload } = page;
	page.goto = async (...where) => {
		const response = await goto.apply(page, where);
		await awake(page);
		return response;
	};
	page.reload = async (...how) => {
		const response = await reload.apply(page, how);
		await awake(page);
		return response;
	};
	return page;
}

/** A test in the browser; every page it opens is awake before anything is done with it. */
export const test = base.extend<{ secondPage: Page }>({
	page: async ({ page }, use) => use(wakeful(page)),
	/** Another tab of the same person. */
	secondPage: async ({ context }, use) => use(wakeful(await context.newPage()))
});

/** The simulated bench beside the application this worker tests: the port of its hands. */
export const benchPort = (): number => Number(ofWorker(process.env.E2E_BENCH_PORT ?? '5320'));
