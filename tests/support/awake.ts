import type { Page } from '@playwright/test';

/** Until the page listens to clicks and keys: one that was only sent by the server loses them. */
export const awake = (page: Page): Promise<unknown> => page.waitForSelector('html[data-awake]');

/** Opens a page and waits until it is {@link awake}. */
export async function openAwake(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await awake(page);
}
