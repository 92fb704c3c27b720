import { expect, it } from 'vitest';
import { oneAtATime } from './one-at-a-time';

const soon = (ms: number) => new Promise((done) => setTimeout(done, ms));

it('begins a work when the one before has ended, and goes on after one that failed', async () => {
	const inTurn = oneAtATime();
	const told: string[] = [];
	const work = (name: string, ms: number, fails = false) =>
		inTurn(async () => {
			told.push(`${name} begins`);
			await soon(ms);
			told.push(`${name} ends`);
			if (fails) throw new Error(name);
			return name;
		});
	const results = await Promise.allSettled([work('slow', 20), work('bad', 5, true), work('quick', 0)]);
	expect(told).toEqual(['slow begins', 'slow ends', 'bad begins', 'bad ends', 'quick begins', 'quick ends']);
	expect(results.map((r) => (r.status === 'fulfilled' ? r.value : (r.reason as Error).message))).toEqual([
		'slow',
		'bad',
		'quick'
	]);
});
