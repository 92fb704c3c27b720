import { describe, expect, it } from 'vitest';
import { watchTurn } from './live-turn';

type Held = (lock: Lock | null) => unknown;
interface Waiting {
	held: Held;
	done: (value: unknown) => void;
}

/** The lock all tabs share, as the standard describes it: one holder, the others in line. */
function sharedLocks() {
	let taken = false;
	const line: Waiting[] = [];
	async function grant({ held, done }: Waiting): Promise<void> {
		taken = true;
		done(await held({ name: 'line', mode: 'exclusive' }));
		taken = false;
		const next = line.shift();
		if (next) void grant(next);
	}
	const request = (_: string, options: LockOptions, held: Held) =>
		new Promise((done, failed) => {
			if (options.ifAvailable && taken) return done(held(null));
			const own = { held, done };
			options.signal?.addEventListener('abort', () => {
				const at = line.indexOf(own);
				if (at < 0) return;
				line.splice(at, 1);
				failed(new Error('aborted'));
			});
			if (taken) line.push(own);
			else void grant(own);
		});
	return { request } as unknown as LockManager;
}

function tab(locks: LockManager | undefined, visibilityState: DocumentVisibilityState = 'visible') {
	const page = Object.assign(new EventTarget(), { visibilityState }) as unknown as Document;
	let changes = 0;
	const mine = watchTurn({ page, locks }, () => changes++);
	const show = async (state: DocumentVisibilityState) => {
		Object.assign(page, { visibilityState: state });
		page.dispatchEvent(new Event('visibilitychange'));
		await settled();
	};
	return { mine, show, changes: () => changes };
}
const settled = () => new Promise((done) => setTimeout(done, 2));
const whose = (tabs: { mine(): boolean }[]) => tabs.map((t) => t.mine());

describe('the turn to hold a line', () => {
	it('is that of every tab in view, and of one in the background', async () => {
		const locks = sharedLocks();
		const tabs = Array.from({ length: 7 }, () => tab(locks));
		expect(whose(tabs)).toEqual(Array(7).fill(true));
		for (const t of tabs.slice(1)) await t.show('hidden');
		expect(whose(tabs)).toEqual([true, true, false, false, false, false, false]);
	});
	it('passes to the next in the background when its holder comes into view', async () => {
		const locks = sharedLocks();
		const [a, b, c] = [tab(locks), tab(locks), tab(locks)];
		for (const t of [a, b, c]) await t.show('hidden');
		expect(whose([a, b, c])).toEqual([true, false, false]);
		await a.show('visible');
		expect(whose([a, b, c])).toEqual([true, true, false]);
		await c.show('visible');
		await b.show('visible');
		expect(whose([a, b, c])).toEqual([true, true, true]);
		await c.show('hidden');
		expect(whose([a, b, c])).toEqual([true, true, true]);
		await a.show('hidden');
		expect(whose([a, b, c])).toEqual([false, true, true]);
	});
	it('is kept without a change by the only tab, in view or not', async () => {
		const only = tab(sharedLocks());
		await only.show('hidden');
		await only.show('visible');
		expect([only.mine(), only.changes()]).toEqual([true, 0]);
	});
	it('is waited for by a tab opened in the background', async () => {
		const locks = sharedLocks();
		const [first, second] = [tab(locks, 'hidden'), tab(locks, 'hidden')];
		await settled();
		expect(whose([first, second])).toEqual([true, false]);
		await first.show('visible');
		expect(whose([first, second])).toEqual([true, true]);
	});
	it('does not end in view after a quick look away and back', async () => {
		const locks = sharedLocks();
		const other = tab(locks);
		await other.show('hidden');
		const quick = tab(locks);
		void quick.show('hidden');
		await quick.show('visible');
		expect(quick.mine()).toBe(true);
		await other.show('visible');
		const last = tab(locks);
		await last.show('hidden');
		expect(last.mine()).toBe(true);
	});
	it('is everybody’s where tabs cannot agree', () => expect(tab(undefined, 'hidden').mine()).toBe(true));
});
