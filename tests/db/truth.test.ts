import type { Knex } from 'knex';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { seededRandom, type Interval } from '$lib/core/foundation/statistics';
import { bankVerdicts } from '$lib/server/judgements/store';
import { answerIsBalanced } from '$lib/server/stages/balance/questions';
import { drawMeter } from '../../truth/meter';
import { chargedBattery } from '../../truth/questions/snapshot';
import { drawWorld } from '../../truth/world';
import { freshDatabase } from '../support/database';
import { make } from '../support/records';

let pool: Knex;
beforeAll(async () => void (pool = await freshDatabase('truth')));
afterAll(() => pool.destroy());

const WORLDS = 20;
/** A correct method holds at least so many of twenty 95 % intervals 999 times in 1000. */
const FLOOR = 15;

/** A battery of a world, charged and read by hand, as its owner would enter it. */
async function entered(seed: number) {
	const world = drawWorld(seededRandom(seed));
	const { volts, soc, capacityAh, currentA } = chargedBattery(world);
	const meter = drawMeter(world.random, 'restVoltage');
	const groupVoltagesV = volts.map((v) => Number(meter.read(v).toFixed(3)));
	const { ratedAh } = world;
	const bank = await make<{ id: number }>('banks', {
		name: `World ${seed}`,
		bankUse: 'cabin',
		chemistry: 'LFP',
		series: volts.length,
		parallel: 1,
		inServiceOn: '2025-01-01',
		cellType: { name: `T${ratedAh}`, chemistry: 'LFP', ratedAh }
	});
	const check = { bankId: bank.id, checkedAt: '2026-05-01', context: 'full', currentA, groupVoltagesV };
	await make('service-checks', check);
	const missing = soc.map((s, g) => (Math.max(...soc) - s) * capacityAh[g]!);
	return { bank, ratedAh, groupVoltagesV, currentA, missing };
}

const holds = ({ low95, high95 }: Interval, truth: number) => truth >= low95 - 1e-9 && truth <= high95 + 1e-9;

it('twenty worlds through the services: drift and balance hold the truth as in core', async () => {
	let [drifts, drifted, aparts] = [0, 0, 0];
	for (let seed = 0; seed < WORLDS; seed++) {
		const { bank, groupVoltagesV, currentA, missing, ratedAh } = await entered(40_000 + seed * 7919);
		const { answer, apartAh } = await answerIsBalanced({ bankId: bank.id, groupVoltagesV, currentA });
		const apart = Math.max(...missing);
		if (holds(apartAh!, apart)) aparts++;
		if (answer === 'balanced') expect(apart).toBeLessThan(0.02 * ratedAh);
		if (answer === 'apart') expect(apart).toBeGreaterThan(0.005 * ratedAh);
		const said = (await bankVerdicts(bank.id, 'serve')).find((v) => /drift/.test(v.code));
		if (!said) continue;
		const { driftAh, group } = said.facts as unknown as { driftAh: Interval; group: number };
		const others = missing.filter((_, g) => g !== group - 1);
		drifts++;
		if (holds(driftAh, others.reduce((a, b) => a + b, 0) / others.length - missing[group - 1]!)) drifted++;
	}
	expect(aparts).toBeGreaterThanOrEqual(FLOOR);
	expect(drifts).toBeGreaterThan(10);
	// The group that stands out is picked for standing out: a little less than 95 % is fair.
	expect(drifted / drifts).toBeGreaterThan(0.7);
});
