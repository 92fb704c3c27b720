import { describe, expect, it } from 'vitest';
import { createCells, stepCell, stepDecay, terminalVoltageV, completeCell } from '../../world/cell-model';
import { computeLimits, type LimitsInput } from '.';

const battery = (more: Partial<LimitsInput> = {}): LimitsInput => ({
	chemistry: 'LFP',
	series: 4,
	parallel: 1,
	strategy: 'middle-road',
	cell: { ratedAh: 280 },
	...more
});
const cutoff = (more: Partial<LimitsInput> = {}) => computeLimits(battery(more)).find((v) => v.key === 'loadCutoffV')!;

describe('the load’s cut-off', () => {
	it('waits for twice a start, six seconds at least and thirty at most', () => {
		const delay = (inrushS?: number) => cutoff({ load: { continuousA: 50, inrushA: 200, inrushS } }).delayS;
		expect(delay()).toBe(6);
		expect(delay(1)).toBe(6);
		expect(delay(5)).toBe(10);
		expect(delay(60)).toBe(30);
	});
	it('has the loads back where a weak battery bears them: 140 A through 3 · 0.08 / 280 Ω are 0.12 V', () => {
		// 3.10 + 0.12 + 0.05 = 3.27 V is below the strategy’s 3.28 V; 200 A drop 0.171 V and ask for 3.32 V.
		expect(cutoff({ load: { continuousA: 140 } }).release).toBeCloseTo(4 * 3.28, 6);
		const heavy = cutoff({ load: { continuousA: 200 } });
		expect(heavy.release).toBeCloseTo(4 * (3.1 + (200 * 0.24) / 280 + 0.05), 2);
		expect(heavy.releaseHeldS).toBe(600);
		expect(heavy.reason).toMatch(/held for 10 minutes/);
	});
	it('where no rest voltage is high enough only a charge brings them back', () => {
		const { release, reason } = cutoff({ load: { continuousA: 400 } });
		expect(release).toBeCloseTo(4 * 3.33, 6);
		expect(reason).toMatch(/Only a charge/);
	});
	it('a start of a compressor does not trip an old bank at 5 °C and a third of its charge', () => {
		const { value, delayS } = cutoff({ load: { continuousA: 30, inrushA: 220, inrushS: 2 } });
		const parameters = completeCell({ chemistry: 'LFP', capacityAh: 240, resistanceFactor: 1.6, temperatureC: 5 });
		const cells = createCells([{ parameters, soc: 0.33 }], 5);
		const decay = stepDecay(1);
		let belowS = 0;
		for (let s = 0; s < 60; s++) {
			const amps = s >= 30 && s < 32 ? 220 : 30;
			cells.currentA[0] = -amps;
			stepCell(cells, 0, decay);
			belowS = terminalVoltageV(cells, 0, -amps) < value / 4 ? belowS + 1 : 0;
			expect(belowS).toBeLessThan(delayS!);
		}
	});
	it('refuses a draw below nothing', () =>
		expect(() => cutoff({ load: { continuousA: -1 } })).toThrow(/load.continuousA/));
});
