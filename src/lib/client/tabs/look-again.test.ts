import { expect, it, vi } from 'vitest';

const page = vi.hoisted(() => ({ complete: null as Promise<void> | null, asked: 0 }));
vi.mock('$app/navigation', () => ({ invalidateAll: () => Promise.resolve(void page.asked++) }));
vi.mock('$app/state', () => ({
	navigating: {
		get complete() {
			return page.complete;
		}
	}
}));
const { lookAgain } = await import('./look-again');

it('asks at once where nothing is being opened', async () => {
	page.asked = 0;
	await lookAgain();
	expect(page.asked).toBe(1);
});

it('waits for a page that is being opened, and asks even if it could not be', async () => {
	page.asked = 0;
	let fail = (_: Error) => {};
	page.complete = new Promise((_, reject) => (fail = reject));
	const looking = lookAgain();
	await Promise.resolve();
	expect(page.asked).toBe(0);
	fail(new Error('left'));
	await looking;
	expect(page.asked).toBe(1);
	page.complete = null;
});
