import { describe, expect, it } from 'vitest';
import { judgeCheck, judgeFade } from '.';
import { HORIZON_YEARS, projectFade, type FadeObservation } from '../../foundation/fade';

const battery = { chemistry: 'LFP' as const, groupAh: 100, meterSdV: 0.001 };

describe('a check read empty, of a battery balanced at the bottom', () => {
	const bottom = { ...battery, balancedAt: 'bottom' as const };
	it('tells who is emptiest: 2.93 V is about 1 %, 3.07 V about 3 %', () => {
		const judged = judgeCheck({ context: 'empty', currentA: 0, groupVoltagesV: [3.07, 3.07, 2.93] }, bottom);
		expect(judged.judged).toBe(true);
		expect(judged.driftAh[2]!.low95).toBeLessThan(-2);
		expect(judged.driftAh[2]!.high95).toBeGreaterThan(-2);
		expect(judged.verdicts[0]!.title).toMatch(/^Group 3 is at least 1\.\d Ah behind at the bottom$/);
	});
	it('is not judged while current flows', () => {
		const judged = judgeCheck({ context: 'empty', currentA: -20, groupVoltagesV: [2.9, 2.9] }, bottom);
		expect(judged).toMatchObject({ judged: false, reason: expect.stringContaining('but 20.0 A flowed') });
	});
	it('is not judged on the plateau', () => {
		const judged = judgeCheck({ context: 'empty', currentA: 0, groupVoltagesV: [3.25, 3.26] }, bottom);
		expect(judged).toMatchObject({ judged: false, reason: expect.stringContaining('on the plateau') });
	});
});

describe('doubt about drift', () => {
	it('is small with a fine meter far up the curve', () => {
		const volts = [3.52, 3.52, 3.52, 3.44];
		const judged = judgeCheck({ context: 'full', currentA: 1, groupVoltagesV: volts }, battery);
		expect(judged.verdicts[0]!.code).toBe('no-drift');
	});
	it('keeps a coarse one from deciding, and asks for a finer', () => {
		const volts = [3.46, 3.46, 3.46, 3.37];
		const judged = judgeCheck({ context: 'full', currentA: 1, groupVoltagesV: volts }, { ...battery, meterSdV: 0.02 });
		expect(judged.verdicts[0]).toMatchObject({ code: 'drift-unsure', warmth: 'open' });
		expect(judged.verdicts[0]!.next).toContain('finer meter');
	});
});

describe('the end of life', () => {
	const at = (ageYears: number, fraction: number, sdAh = 0.5): FadeObservation => ({
		ageYears,
		efc: 50 * ageYears,
		capacityAh: 100 * fraction,
		sdAh
	});
	it('may already have passed', () => {
		const observations = [at(1, 0.95), at(4, 0.84), at(6, 0.77), at(7, 0.74)];
		const projection = projectFade({ ratedAh: 100, endFraction: 0.8, observations, efcPerYear: 50 });
		expect(projection.endAgeYears.high95).toBeLessThan(7);
		expect(judgeFade(projection, 0.8, 7)).toMatchObject({ code: 'fade-end', warmth: 'look' });
	});
	it('beyond the horizon is said as such, not as a figure', () => {
		const observations = [at(1, 1.02, 0.1), at(5, 1.02, 0.1), at(10, 1.02, 0.1)];
		const projection = projectFade({ ratedAh: 100, endFraction: 0.8, observations, efcPerYear: 0 });
		expect(projection.endAgeYears.high95).toBe(HORIZON_YEARS);
		expect(judgeFade(projection, 0.8, 10).title).toContain(`over ${HORIZON_YEARS}`);
	});
	it('comes sooner with more cycles a year', () => {
		const observations = [at(0, 1), at(2, 0.97), at(4, 0.945)];
		const median = (efcPerYear: number) =>
			projectFade({ ratedAh: 100, endFraction: 0.8, observations, efcPerYear }).endAgeYears.median;
		expect(median(300)).toBeLessThan(median(50));
	});
	it('does not depend on the order the tests were entered', () => {
		const observations = [at(0, 1), at(2, 0.97), at(4, 0.945)];
		const forwards = projectFade({ ratedAh: 100, endFraction: 0.8, observations, efcPerYear: 50 });
		const backwards = projectFade({
			ratedAh: 100,
			endFraction: 0.8,
			observations: [...observations].reverse(),
			efcPerYear: 50
		});
		expect(backwards.endAgeYears.median).toBeCloseTo(forwards.endAgeYears.median, 6);
	});
	it('keeps its doubt at the tests from exceeding that of the best of them by much', () => {
		const observations = [at(0, 1, 0.4), at(1, 0.98, 0.4), at(2, 0.97, 0.4)];
		const { curve } = projectFade({ ratedAh: 100, endFraction: 0.8, observations, efcPerYear: 50 });
		const nearOne = curve.reduce((a, b) => (Math.abs(b.ageYears - 1) < Math.abs(a.ageYears - 1) ? b : a));
		expect((nearOne.high95 - nearOne.low95) / (2 * 1.96)).toBeLessThan(0.004);
	});
});
