import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startLive } from '$lib/core/foundation/live-run';
import { simulate } from '$lib/core/world/simulation';
import { insertLiveSamples } from '$lib/server/db/live-samples';
import { liveRuns, serviceChecks, type Bank } from '$lib/server/records';
import { answerIsBalanced } from '$lib/server/stages/balance/questions';
import { keepWatchedCheck } from '$lib/server/stages/serve/watched-check';
import { freshDatabase } from '../support/database';
import { make, serveOf } from '../support/records';

let pool: Knex;
let bank: Bank;
beforeAll(async () => {
	pool = await freshDatabase('watched_check');
	const type = await make<{ id: number }>('cell-types', { name: 'W', chemistry: 'LFP', ratedAh: 280 });
	bank = await make<Bank>('banks', {
		name: 'Watched',
		bankUse: 'boat',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cellTypeId: type.id,
		inServiceOn: '2026-01-01'
	});
});
afterAll(() => pool.destroy());

const MINUTE_MS = 60_000;
/** A watched charge at 14 A that ended just now, lived through by simulated cells: group 3 is so many Ah behind the others. */
async function watched(behindAh: number): Promise<number> {
	const run = await liveRuns.insert({
		bankId: bank.id,
		kind: 'watch',
		state: 'running',
		instruments: [],
		phases: [{ kind: 'watch' }],
		intervalMs: 60_000,
		deadManS: 20,
		progress: startLive()
	});
	const cells = [0, 0, behindAh, 0].map((ah, id) => ({ id, capacityAh: 280, soc: 0.93 - ah / 280 }));
	const { cells: lived, currentA } = simulate({
		world: { chemistry: 'LFP', cells, wiring: { kind: 'series' }, seed: 7 },
		steps: [{ kind: 'charge', currentA: 14, until: { cellHighV: 3.6 } }],
		stepS: 20,
		recordEveryS: 60
	});
	const startMs = Math.floor(Date.now() / 1000) * 1000 - currentA.length * MINUTE_MS;
	const samples = currentA.map((ampere, i) => ({
		atMs: startMs + i * MINUTE_MS,
		phase: 0,
		voltageV: 13.6,
		currentA: ampere,
		cellV: null,
		temperatureC: null,
		groupsV: cells.map((_, g) => Number(lived[g]!.voltageV[i]!.toFixed(3)))
	}));
	await pool.transaction((tx) => insertLiveSamples(run.id, samples, tx));
	return run.id;
}

describe('what a watched battery reads, kept as a check', () => {
	it('read full brings the Ah counted between the groups, and narrows drift and "is it balanced?" to them', async () => {
		const kept = await keepWatchedCheck(await watched(0.8), { context: 'full' });
		const check = await serviceChecks.get(kept.id);
		expect(check.passings).toMatchObject({ voltageV: 3.42 });
		expect(Math.abs(check.passings!.groups[2]!.ah - check.passings!.groups[0]!.ah - 0.8)).toBeLessThan(0.25);
		const { checks } = await serveOf(bank.id, new Date().toISOString());
		const drift = checks.at(-1)!.judgement.driftAh[2]!;
		expect(drift.low95).toBeLessThan(-0.8);
		expect(drift.high95).toBeGreaterThan(-0.8);
		const groupVoltagesV = check.groupVoltagesV as number[];
		const asked = await answerIsBalanced({ bankId: bank.id, groupVoltagesV, currentA: 14 });
		expect(asked.answer).toBe('balanced');
		expect(asked.apartAh!.high95).toBeLessThan(2.8);
	});
	it('of a group that never passed it knows that it is behind by at least what went in meanwhile', async () => {
		const kept = await keepWatchedCheck(await watched(20), { context: 'full' });
		const check = await serviceChecks.get(kept.id);
		expect(check.passings!.groups[2]).toBeNull();
		const { checks } = await serveOf(bank.id, new Date().toISOString());
		const drift = checks.at(-1)!.judgement.driftAh[2]!;
		expect(drift.high95).toBeLessThan(-0.5);
		expect(drift.low95).toBeLessThan(-20);
	});
	it('read at rest is kept without a count, and a run without groups keeps nothing', async () => {
		const kept = await keepWatchedCheck(await watched(0), { context: 'rest' });
		expect((await serviceChecks.get(kept.id)).passings).toBeNull();
		const bare = await liveRuns.insert({
			bankId: bank.id,
			kind: 'watch',
			state: 'running',
			instruments: [],
			phases: [{ kind: 'watch' }],
			intervalMs: 60_000,
			deadManS: 20,
			progress: startLive()
		});
		await expect(keepWatchedCheck(bare.id, { context: 'full' })).rejects.toMatchObject({ status: 409 });
	});
	it('a count of another number of groups is refused', async () => {
		const passings = { voltageV: 3.42, endAh: 10, groups: [{ ah: 1, sdAh: 0.1 }, null] };
		await expect(
			make('service-checks', {
				bankId: bank.id,
				checkedAt: '2026-11-01',
				context: 'full',
				currentA: 5,
				groupVoltagesV: [3.5, 3.5, 3.5, 3.5],
				passings
			})
		).rejects.toMatchObject({ message: expect.stringContaining('passings.groups requires 4 values') });
	});
});
