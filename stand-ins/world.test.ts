import { completeScenario } from '$lib/core/world/bench';
import { readyScenario } from '$lib/core/world/rehearsal';
import { describe, expect, it } from 'vitest';
import { bmsMap } from './modbus/registers';
import { createWorld } from './world';

function worldAt(factor: number) {
	let realMs = 1_000_000;
	const world = createWorld(() => realMs);
	world.load(completeScenario(readyScenario('first-crate')));
	world.setTimeFactor(factor);
	const pass = (ms: number) => {
		realMs += ms;
		return world.bench().timeS;
	};
	return { world, pass };
}

describe('time at the simulated bench', () => {
	it('stands still a while after the last hand, and goes on with the next one', () => {
		const { world, pass } = worldAt(1000);
		expect(pass(5000)).toBeCloseTo(5000, 3);
		// An hour with a cup of tea: only the rest of the ten seconds has passed at a thousand times the pace.
		expect(pass(3_600_000)).toBeLessThanOrEqual(10_001);
		const stood = world.bench().timeS;
		world.touched();
		expect(pass(2000)).toBeCloseTo(stood + 2000, 3);
	});
	it('counts while somebody watches by the BMS: a charge at a thousand times the pace is not held', () => {
		const { world, pass } = worldAt(1000);
		Object.assign(world.bench().supply, { on: true, voltageV: 3.6, currentA: 1 });
		world.heard();
		const alone = pass(2000);
		expect(alone).toBeLessThan(400);
		const watch = bmsMap(world);
		for (let i = 0; i < 10; i++) {
			pass(200);
			watch.registers();
		}
		expect(world.bench().timeS - alone).toBeGreaterThan(1700);
	});
	it('goes on at its own pace, and while something flows', () => {
		expect(worldAt(1).pass(3600_000)).toBeCloseTo(3600, 3);
		const { world, pass } = worldAt(100);
		const bench = world.bench();
		Object.assign(bench.supply, { on: true, voltageV: 3.6, currentA: 1 });
		world.heard();
		expect(pass(60_000)).toBeGreaterThan(200);
	});
});
