import { describe, expect, it, beforeAll, afterAll } from 'vitest';
import type { Knex } from 'knex';
import { startLive } from '$lib/core/foundation/live-run';
import { readLiveMinutes } from '$lib/server/db/live-minutes';
import { countLiveSamples, insertLiveSamples, readLiveSamples } from '$lib/server/db/live-samples';
import type { StoredSample } from '$lib/server/db/stored-sample';
import { banks, liveRuns } from '$lib/server/records';
import { livePage, samplesAfter } from '$lib/server/live/live-service';
import { freshDatabase } from '../support/database';

let pool: Knex;
let bankId: number;
beforeAll(async () => {
	pool = await freshDatabase('minutes');
	bankId = (await banks.insert({ name: 'B', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 })).id;
});
afterAll(() => pool.destroy());

const newRun = async () =>
	(
		await liveRuns.insert({
			bankId,
			kind: 'watch',
			state: 'running',
			instruments: [],
			phases: [{ kind: 'watch' }],
			intervalMs: 1000,
			deadManS: 20,
			progress: startLive()
		})
	).id;
const START_MS = 1_760_000_040_000;
const sample = (second: number, more: Partial<StoredSample> = {}): StoredSample => ({
	atMs: START_MS + second * 1000,
	phase: 0,
	voltageV: 13.2,
	currentA: -5,
	cellV: null,
	temperatureC: null,
	groupsV: null,
	...more
});

describe('the minutes of a live run', () => {
	it('keep the lowest and the highest of what was read, whatever way it came in', async () => {
		const id = await newRun();
		await insertLiveSamples(
			id,
			[sample(0), sample(10, { voltageV: 13.1, currentA: -30 }), sample(59), sample(60)],
			pool
		);
		await insertLiveSamples(id, [sample(20, { voltageV: 13.4 }), sample(30, { voltageV: null })], pool);
		const before = await readLiveMinutes(id);
		expect(before.map((m) => [(m.atMs - START_MS) / 1000, m.voltageV, m.currentA])).toEqual([
			[0, 13.1, -30],
			[30, 13.4, -5],
			[60, 13.2, -5],
			[90, 13.2, -5]
		]);
		// Told twice, it is the same minute.
		await insertLiveSamples(id, [sample(10, { voltageV: 13.1, currentA: -30 })], pool);
		expect(await readLiveMinutes(id)).toEqual(before);
		expect(await countLiveSamples(id)).toBe(6);
	});
	it('say that nobody measured a voltage, and take it as soon as somebody did', async () => {
		const id = await newRun();
		await insertLiveSamples(id, [sample(0, { voltageV: null }), sample(61, { voltageV: null })], pool);
		expect((await readLiveMinutes(id)).map((m) => m.voltageV)).toEqual([null, null, null, null]);
		await insertLiveSamples(id, [sample(62, { voltageV: 13 })], pool);
		expect((await readLiveMinutes(id)).map((m) => m.voltageV)).toEqual([null, null, 13, 13]);
	});
	it('are what the page of a long run draws; its samples are given piece by piece', async () => {
		const id = await newRun();
		const long = Array.from({ length: 21_000 }, (_, s) => sample(s, s === 12_345 ? { voltageV: 11.9 } : {}));
		await insertLiveSamples(id, long, pool);
		const { samples } = await livePage(id);
		expect(samples.length).toBeLessThan(1500);
		expect(Math.min(...samples.map((s) => s.voltageV!))).toBe(11.9);
		const first = await samplesAfter(id, null);
		expect(first).toMatchObject({ more: true });
		const second = await samplesAfter(id, String(first.samples.at(-1)!.atMs));
		expect(second.samples[0]!.atMs - first.samples.at(-1)!.atMs).toBe(1000);
		const last = await samplesAfter(id, String(long[20_990]!.atMs));
		expect([last.more, last.samples.length]).toEqual([false, 9]);
		expect(await readLiveSamples(id, { phase: 1 })).toEqual([]);
	});
});
