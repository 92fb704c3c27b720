import { describe, expect, it } from 'vitest';
import { judgeCheck } from '.';

const battery = { chemistry: 'LFP' as const, groupAh: 280, meterSdV: 0.001 };
const load = (groupVoltagesV: number[], currentA = -60) =>
	judgeCheck({ context: 'load', currentA, groupVoltagesV }, battery);

describe('a check under load', () => {
	it('one group 60 mV low at 60 A is a joint of about 1 mΩ: 3.6 W', () => {
		const { judged, driftAh, verdicts } = load([3.25, 3.25, 3.19, 3.251]);
		expect(judged).toBe(true);
		expect(driftAh).toEqual([null, null, null, null]);
		expect(verdicts).toMatchObject([
			{
				code: 'load-apart',
				warmth: 'look',
				facts: { group: 3, mOhm: { likely: expect.closeTo(1, 6) }, heatW: expect.closeTo(3.6, 6) }
			}
		]);
		const { low95, high95 } = verdicts[0]!.facts.mOhm as { low95: number; high95: number };
		expect(low95).toBeGreaterThan(0.7);
		expect(high95).toBeLessThan(1.3);
	});
	it('while it is charged the bad joint reads high; a group that reads low then has no bad joint', () => {
		expect(load([3.35, 3.41, 3.35, 3.35], 60).verdicts).toMatchObject([{ code: 'load-apart', facts: { group: 2 } }]);
		expect(load([3.35, 3.29, 3.35, 3.35], 60).verdicts).toMatchObject([{ code: 'load-even' }]);
	});
	it('what cells and meters differ by is no joint, and it says what would not show', () => {
		const [even] = load([3.25, 3.256, 3.245, 3.25]).verdicts;
		expect(even).toMatchObject({ code: 'load-even', warmth: 'calm', facts: { spreadV: expect.closeTo(0.011, 6) } });
		expect(even!.facts.seesMohm as number).toBeGreaterThan(0.19);
	});
	it('with next to no current nothing is told of joints', () =>
		expect(load([3.25, 3.25, 3.19], -5)).toMatchObject({
			judged: false,
			reason: expect.stringContaining('only 5.0 A')
		}));
});
