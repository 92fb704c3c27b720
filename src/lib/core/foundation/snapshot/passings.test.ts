import { describe, expect, it } from 'vitest';
import { apartByPassings, driftByPassings, groupPassings, narrowed, type ChargeSample } from '.';

const MINUTE_MS = 60_000;
/** A charge at 30 A, read every minute (0.5 Ah): each group rises by 10 mV an Ah from 3.32 V, `behindAh` later than the first. */
function rising(behindAh: readonly number[], minutes: number, ampere = 30): ChargeSample[] {
	return Array.from({ length: minutes }, (_, i) => ({
		atMs: i * MINUTE_MS,
		currentA: ampere,
		groupsV: behindAh.map((ah) => 3.32 + 0.01 * ((i * ampere) / 60 - ah))
	}));
}
const log = { chemistry: 'LFP' as const, groupAh: 280, meterSdV: 0.001 };

describe('Ah between the passings of one voltage', () => {
	it('counts what went in between: the group that passes 3.42 V 4 Ah later is 4 Ah behind', () => {
		const found = groupPassings({ ...log, samples: rising([0, 4, 0, 0], 60) })!;
		expect(found.voltageV).toBe(3.42);
		expect(found.groups.map((g) => g!.ah)).toEqual([10, 14, 10, 10].map((ah) => expect.closeTo(ah, 6)));
		// Meter 1 mV and a tenth of 30 A · 0.286 mΩ at 10 mV an Ah, half an Ah of log over √12; the balancer for 8 min of the second.
		const read = Math.hypot(Math.hypot(0.001, 0.1 * 30 * (0.08 / 280)) / 0.01, 0.5 / Math.sqrt(12));
		expect(found.groups[0]!.sdAh).toBeCloseTo(read, 6);
		expect(found.groups[1]!.sdAh).toBeCloseTo(Math.hypot(read, 0.1 * (8 / 60)), 6);
		const [first, second] = driftByPassings(found);
		expect(second!.likely).toBeCloseTo(-4, 6);
		expect(first!.likely).toBeCloseTo(4 / 3, 6);
		expect(second!.high95).toBeLessThan(-3.4);
		expect(apartByPassings(found)!.likely).toBeCloseTo(4, 6);
		expect(apartByPassings(found)!.high95).toBeLessThan(5);
	});
	it('a group that never passed is behind by at least what was counted, and nobody knows by how much more', () => {
		const found = groupPassings({ ...log, samples: rising([0, 0, 30], 41) })!;
		expect(found.groups[2]).toBeNull();
		const [one, , late] = driftByPassings(found);
		expect(late!.high95).toBeCloseTo(-10 + 1.96 * (found.groups[0]!.sdAh / Math.SQRT2), 6);
		expect(late!.low95).toBe(-Infinity);
		expect(one!.low95).toBeGreaterThan(3);
		expect(one!.high95).toBe(Infinity);
		expect(apartByPassings(found)).toMatchObject({ high95: Infinity });
	});
	it('takes the highest voltage above the knee that all pass, where not all reach 3.42 V', () => {
		const found = groupPassings({ ...log, samples: rising([0, 1], 20).concat() })!;
		expect(found).toBeNull();
		// 11 Ah: the first reaches 3.43 V, the second 3.415 V.
		const reached = groupPassings({ ...log, samples: rising([0, 1.5], 23) })!;
		expect(reached.voltageV).toBeCloseTo(3.415 - 0.002, 6);
		expect(driftByPassings(reached)[1]!.likely).toBeCloseTo(-1.5, 5);
	});
	it('what the tail holds up is not counted: the current must stay alike', () => {
		const charge = rising([0, 6], 26);
		const tail = rising([0, 6], 60).map((s) => ({ ...s, atMs: s.atMs + 26 * MINUTE_MS, currentA: 5 }));
		const found = groupPassings({ ...log, samples: [...charge, ...tail] })!;
		expect(found.groups[1]).toBeNull();
		expect(found.endAh).toBeCloseTo(12.5, 6);
	});
	it('says nothing of a log that begins too late, of a discharge, of one group, or across a silence', () => {
		expect(groupPassings({ ...log, samples: rising([-20, 4], 60) })).toBeNull();
		expect(groupPassings({ ...log, samples: rising([0, 4], 60, -30) })).toBeNull();
		expect(groupPassings({ ...log, samples: rising([0], 60) })).toBeNull();
		expect(groupPassings({ ...log, samples: [] })).toBeNull();
		const silent = rising([0, 4], 60).map((s, i) => (i < 24 ? s : { ...s, atMs: s.atMs + 60 * MINUTE_MS }));
		expect(groupPassings({ ...log, samples: silent })).toBeNull();
		expect(() => groupPassings({ ...log, groupAh: 0, samples: [] })).toThrow(/groupAh/);
	});
	it('a count with both ends stands for the reading, with one end it cuts it, against it both are allowed', () => {
		const read = { low95: -9, likely: -5, high95: -2 };
		expect(narrowed(read, null)).toBe(read);
		expect(narrowed(read, { low95: -4.5, likely: -4, high95: -3.5 })).toEqual({
			low95: -4.5,
			likely: -4,
			high95: -3.5
		});
		expect(narrowed(read, { low95: -Infinity, likely: -6, high95: -6 })).toEqual({ low95: -9, likely: -6, high95: -6 });
		expect(narrowed(read, { low95: 1, likely: 1.5, high95: 2 })).toEqual({ low95: -9, likely: 1.5, high95: 2 });
	});
});
