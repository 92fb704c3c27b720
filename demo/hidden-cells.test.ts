import { describe, expect, it } from 'vitest';
import { analyseRun } from '$lib/core/test/log';
import { mean, seededRandom } from '$lib/core/foundation/statistics';
import { drawCrate, readResistance, readRestVoltage, testerLog } from './hidden-cells';

const crate = (seed: number, count = 40) =>
	drawCrate(seededRandom(seed), { ratedAh: 100, count, capacityMean: 1.02, capacitySd: 0.01, soc: 0.45 });

describe('the hidden cells of the demo', () => {
	it('are drawn from a seed, around what was asked for', () => {
		expect(crate(1)).toEqual(crate(1));
		expect(crate(1)).not.toEqual(crate(2));
		expect(mean(crate(1, 400).map((c) => c.truth.capacityAh))!).toBeCloseTo(102, 0);
	});
	it('are read with the scatter of a meter', () => {
		const [cell] = crate(1, 1);
		const random = seededRandom(3);
		const volts = Array.from({ length: 200 }, () => Number(readRestVoltage(random, cell!)));
		expect(mean(volts)!).toBeGreaterThan(3.28);
		expect(mean(volts)!).toBeLessThan(3.3);
		expect(new Set(volts).size).toBeGreaterThan(2);
		// 0.05 Ω·Ah over about 102 Ah, 0.7 of it, a little more at 22 °C
		expect(Number(readResistance(random, cell!))).toBeCloseTo(0.37, 1);
	});
	it('leave a log in which their capacity and the tester’s gain are found again', () => {
		const [cell] = crate(1, 1);
		const warm = { ...cell!, truth: { ...cell!.truth, temperatureC: 25 } };
		const capacity = (gain: number) =>
			analyseRun(testerLog(seededRandom(5), warm, 100, gain), { ratedAh: 100, bridgeGaps: false, cutoffV: 2.5 });
		const honest = capacity(0);
		expect(honest.capacityAh / warm.truth.capacityAh).toBeGreaterThan(0.985);
		expect(honest.capacityAh / warm.truth.capacityAh).toBeLessThan(1.001);
		expect(capacity(0.02).capacityAh / honest.capacityAh).toBeCloseTo(1.02, 3);
		expect(honest.faults.map((f) => f.code)).toEqual(['sign-flipped']);
	});
});
