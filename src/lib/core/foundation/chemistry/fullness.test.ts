import { describe, expect, it } from 'vitest';
import { restVoltageCurve, fullnessRuledOut } from '.';

describe('whether a cell can be full before its capacity is measured', () => {
	it('is ruled out on the plateau by a good meter, with the most it can hold', () => {
		// 3.290 V, within 2 mV of meter, 1.33 × 8 mV of hysteresis and 9.8 mV of the curve, in quadrature 14.6 mV: what rests at 3.3046 V.
		const most = fullnessRuledOut('LFP', 3.29, 0.002 / 1.96)!;
		expect(restVoltageCurve('LFP').at(most)).toBeCloseTo(3.29 + Math.hypot(0.002, 1.33 * 0.008, 1.96 * 0.005), 4);
		expect(most).toBeLessThan(0.7);
	});
	it('is not ruled out by a meter that cannot tell, nor by a voltage near the top of the plateau', () => {
		expect(fullnessRuledOut('LFP', 3.29, 0.025)).toBeNull();
		expect(fullnessRuledOut('LFP', 3.335, 0.001)).toBeNull();
		expect(fullnessRuledOut('LFP', 3.45, 0.001)).toBeNull();
	});
	it('is ruled out below the plateau by any meter', () =>
		expect(fullnessRuledOut('LFP', 3.1, 0.025)).toBeLessThan(0.3));
	it('goes by the chemistry: 3.9 V is not full for NMC, 2.6 V is for LTO', () => {
		expect(fullnessRuledOut('NMC', 3.9, 0.002)).toBeLessThan(0.9);
		expect(fullnessRuledOut('LTO', 2.6, 0.002)).toBeNull();
	});
	it('says which figure is no number', () => expect(() => fullnessRuledOut('LFP', NaN, 0.002)).toThrow(/restVoltageV/));
});
