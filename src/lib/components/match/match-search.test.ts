import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { MatchJob } from '$lib/client/jobs/match-job';
import type { MatchProgress, MatchResult } from '$lib/core/match/groups';

const bench = vi.hoisted(() => ({
	progress: null as ((p: MatchProgress) => void) | null,
	end: null as ((r: MatchResult) => void) | null,
	fail: null as ((e: Error) => void) | null,
	said: [] as string[]
}));
vi.mock('$lib/client/entry/announce', () => ({ announce: (text: string) => void bench.said.push(text) }));
vi.mock('$lib/client/jobs/match-job', () => ({
	startMatching: (_: unknown, __: number, onProgress: (p: MatchProgress) => void): MatchJob => {
		bench.progress = onProgress;
		const result = new Promise<MatchResult>((done, failed) => ([bench.end, bench.fail] = [done, failed]));
		return { result, cancel: () => bench.fail!(new Error('cancelled')) };
	}
}));
const { MatchSearch } = await import('./match-search.svelte');

const problem = { series: 2, parallel: 1, cells: [] };
const at = (fraction: number): MatchProgress => ({ stage: 'proving', fraction, smallestGroupAh: 100, spreadAh: 1 });
const found = (cancelled: boolean) => ({ cancelled, groups: [] }) as unknown as MatchResult;

describe('a search as the page follows it', () => {
	beforeEach(() => void (bench.said = []));
	it('shows how far it is, and nothing more once it is over, whatever was still on its way', async () => {
		const search = new MatchSearch();
		const running = search.run(problem);
		expect(search.progress).toMatchObject({ fraction: 0 });
		bench.progress!(at(0.5));
		expect(search.progress).toMatchObject({ fraction: 0.5 });
		bench.end!(found(false));
		expect(await running).toBe(search.result);
		expect(search.progress).toBeNull();
		bench.progress!(at(0.9));
		expect(search.progress).toBeNull();
	});
	it('one that is late does not speak into the next search', async () => {
		const search = new MatchSearch();
		const first = search.run(problem);
		const late = bench.progress!;
		bench.end!(found(false));
		await first;
		const second = search.run(problem);
		late(at(0.9));
		expect(search.progress).toMatchObject({ fraction: 0 });
		bench.end!(found(true));
		await second;
		expect(bench.said).toEqual(['Ended. This is the best found until then.']);
	});
	it('cancelled before anything is found, it keeps what was there', async () => {
		const search = new MatchSearch();
		const running = search.run(problem);
		search.cancel();
		expect(await running).toBeNull();
		expect(search.result).toBeNull();
		expect(bench.said).toEqual(['Cancelled. Nothing was changed.']);
	});
});
