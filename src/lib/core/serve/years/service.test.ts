import { describe, expect, it } from 'vitest';
import { driftSlopes, judgeCheck, judgeGrowth } from '.';

describe('service checks', () => {
	const battery = { chemistry: 'LFP' as const, groupAh: 200, meterSdV: 0.001 };
	it('reads drift at the top: 3.40 V among 3.46 V is about half a percent behind, 1 Ah of 200', () => {
		const judged = judgeCheck({ context: 'full', currentA: 0, groupVoltagesV: [3.46, 3.4, 3.46, 3.46] }, battery);
		expect(judged.judged).toBe(true);
		expect(judged.driftAh[1]!.low95).toBeLessThan(-1);
		expect(judged.driftAh[1]!.high95).toBeGreaterThan(-1);
		expect(judged.verdicts[0]!.code).toBe('no-drift');
	});
	it('names the group that lags, by what is certain: how far a group on the plateau lags does not show', () => {
		const judged = judgeCheck({ context: 'full', currentA: 3, groupVoltagesV: [3.6, 3.345, 3.6, 3.6] }, battery);
		const { low95, high95 } = judged.driftAh[1]!;
		// 2 to 33 % of 200 Ah.
		expect(high95).toBeLessThan(-2.5);
		expect(low95).toBeLessThan(-40);
		expect(judged.verdicts[0]).toMatchObject({ code: 'drift', warmth: 'look' });
		expect(judged.verdicts[0]!.title).toMatch(/^Group 2 is at least \d\.\d Ah behind at the top$/);
	});
	it('is not sure of a group that may lag by less than a percent or by much more', () => {
		const judged = judgeCheck({ context: 'full', currentA: 3, groupVoltagesV: [3.46, 3.375, 3.46, 3.46] }, battery);
		expect(judged.verdicts[0]).toMatchObject({ code: 'drift-unsure', warmth: 'open' });
	});
	it('calls what no group can have by its name, and judges nothing', () => {
		const judged = judgeCheck({ context: 'full', currentA: 0, groupVoltagesV: [6.858, -3.428, 6.857, 3.43] }, battery);
		expect(judged).toMatchObject({ judged: false, verdicts: [{ code: 'leads-exchanged', warmth: 'stop' }] });
	});
	it('does not call a battery that was balanced at the top apart at the bottom', () => {
		const check = { context: 'empty', currentA: 0, groupVoltagesV: [2.8, 3.1, 3.1, 3.1] } as const;
		for (const balancedAt of ['top', null] as const)
			expect(judgeCheck(check, { ...battery, balancedAt })).toMatchObject({
				judged: false,
				reason: expect.stringContaining('no fault')
			});
		expect(judgeCheck(check, { ...battery, balancedAt: 'bottom' })).toMatchObject({ judged: true });
	});
	it.each([
		['full', 2, [3.334, 3.335], /on the plateau/],
		['full', 40, [3.46, 3.45], /still flowed/],
		['empty', 0, [3.25, 3.26], /part by their capacities/],
		['rest', 0, [3.33, 3.33], /read alike within millivolts/],
		['rest', 9, [3.33, 3.33], /but 9\.0 A flowed/],
		['load', -5, [3.2, 3.21], /only 5\.0 A flowed/]
	] as const)('keeps and does not judge: %s at %s A', (context, currentA, groupVoltagesV, why) => {
		const judged = judgeCheck({ context, currentA, groupVoltagesV }, battery);
		expect(judged).toMatchObject({ judged: false, driftAh: [null, null] });
		expect(judged.reason).toMatch(why);
	});
	it('skips a group that was not read and needs two', () => {
		expect(
			judgeCheck({ context: 'full', currentA: 0, groupVoltagesV: [3.5, null, 3.49] }, battery).driftAh[1]
		).toBeNull();
		expect(() => judgeCheck({ context: 'full', currentA: 0, groupVoltagesV: [3.4, null] }, battery)).toThrow(
			/two or more read groups, got 1/
		);
	});
	it('a group that falls from check to check is not together with the others, though it is not far away yet', () => {
		const checks = [3.49, 3.47, 3.42, 3.39].map((v, year) => ({
			ageYears: year,
			driftAh: judgeCheck({ context: 'full', currentA: 0, groupVoltagesV: [3.49, v, 3.491, 3.489] }, battery).driftAh
		}));
		const slopes = driftSlopes(checks, 4, 200);
		const verdict = judgeGrowth(slopes, 200, []);
		expect(verdict).toMatchObject({ code: 'drift-grows', warmth: 'look', facts: { group: 2, checks: 4 } });
		expect(verdict!.finding).toMatch(/^By 0\.0\d ± 0\.0\d Ah a month/);
		// Two checks, or a battery that only scatters, say nothing of the kind.
		expect(judgeGrowth(driftSlopes(checks.slice(0, 2), 4, 200), 200, [])).toBeNull();
		const still = checks.map((c, i) => ({ ...c, driftAh: checks[i % 2]!.driftAh }));
		expect(judgeGrowth(driftSlopes(still, 4, 200), 200, [])).toBeNull();
	});
	it('gives the slope of drift in Ah a month', () => {
		const of = (likely: number) => ({ low95: likely - 1, likely, high95: likely + 1 });
		expect(
			driftSlopes(
				[
					{ ageYears: 0, driftAh: [of(0), null] },
					{ ageYears: 1, driftAh: [of(-6), of(1)] }
				],
				2,
				200
			)
		).toMatchObject([{ ahPerMonth: -0.5, checks: 2 }, null]);
	});
});
