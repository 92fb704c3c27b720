import { describe, expect, it } from 'vitest';
import { currentsAfterJoining } from '.';

const item = (restVoltageV: number) => ({ restVoltageV, capacityAh: 100, resistanceOhm: 0.0005, cellsInSeries: 1 });

describe('what flows once they are joined', () => {
	it('begins with the difference over both resistances and links, and falls', () => {
		// 30 mV across twice 0.5 mΩ and twice 0.5 mΩ of link.
		const falls = currentsAfterJoining('LFP', [item(3.3), item(3.33)], 0.0005);
		expect(falls[0]!.largestA).toBeCloseTo(15, 6);
		for (const [before, after] of falls.slice(1).map((f, i) => [falls[i]!, f] as const))
			expect(after.largestA).toBeLessThanOrEqual(before.largestA * 1.05);
		expect(falls.at(-1)!.largestA).toBeLessThan(2);
	});
	it('of one alone, or one the wrong way round, nothing is told', () => {
		expect(currentsAfterJoining('LFP', [item(3.3)], 0.001)).toEqual([]);
		expect(currentsAfterJoining('LFP', [item(3.3), item(-3.3)], 0.001)).toEqual([]);
	});
});
