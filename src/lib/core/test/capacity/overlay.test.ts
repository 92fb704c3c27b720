import { describe, expect, it } from 'vitest';
import { curveDifference, usualCurve } from '.';

describe('curves over each other', () => {
	const curve = { voltageV: [3.4, 3.3, 3.2], dischargedAh: [0, 50, 100] };
	it('differ by what they differ at the same ampere-hours, and by nothing known beyond the other’s end', () => {
		const other = { voltageV: [3.35, 3.25], dischargedAh: [0, 50] };
		const { voltageV } = curveDifference(curve, other);
		expect(voltageV[0]).toBeCloseTo(0.05, 12);
		expect(voltageV[1]).toBeCloseTo(0.05, 12);
		expect(voltageV[2]).toBeNull();
		expect(curveDifference(curve, curve).voltageV).toEqual([0, 0, 0]);
		expect(curveDifference(curve, { voltageV: [], dischargedAh: [] }).voltageV).toEqual([null, null, null]);
	});
	it('a usual cell gives about its rating, and a little less when it is hurried', () => {
		const slow = usualCurve('LFP', 280, 0.1, 2.5);
		const fast = usualCurve('LFP', 280, 1, 2.5);
		expect(slow.dischargedAh.at(-1)).toBeCloseTo(280, -1);
		expect(fast.dischargedAh.at(-1)!).toBeLessThan(slow.dischargedAh.at(-1)!);
		expect(slow.voltageV.at(-1)).toBeLessThanOrEqual(2.5);
	});
});
