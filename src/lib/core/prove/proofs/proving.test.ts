import { describe, expect, it } from 'vitest';
import { bmsVerdicts, capacityForecastVerdict, counterVerdict } from '.';

const battery = { kind: 'battery', id: 7, label: 'Battery 1' } as const;
const groups = [1, 2, 3].map((n) => ({ kind: 'group' as const, id: n, label: `Group ${n}` }));

describe('the BMS against the voltmeter', () => {
	it('names each group that differs by more than both may err', () => {
		const verdicts = bmsVerdicts(
			{ bmsV: [3.3, 3.312, 3.301], meterV: [3.301, 3.3, 3.3], differenceSdV: 0.003 },
			groups,
			battery
		);
		expect(verdicts).toMatchObject([
			{ code: 'bms-misreads', warmth: 'look', subject: { id: 2 }, title: 'The BMS reads group 2 12 mV too high' }
		]);
	});
	it('a channel that reads high has its low cut-off raised, one that reads low its high cut-off lowered', () => {
		const next = (bms: number) =>
			bmsVerdicts({ bmsV: [3.3, bms], meterV: [3.3, 3.3], differenceSdV: 0.002 }, groups, battery)[0]!.next;
		expect(next(3.311)).toContain('raise the low-voltage cut-off by 11 mV');
		expect(next(3.289)).toContain('lower the high-voltage cut-off by 11 mV');
	});
	it.each([
		[
			[3.3, 2.3, 4.3],
			[2, 3]
		],
		[
			[3.55, 3.05, 3.3],
			[1, 2]
		]
	])('two neighbours that read one up and one down share an open lead: a stop that leads to the leads', (bmsV, at) => {
		const verdicts = bmsVerdicts({ bmsV, meterV: [3.3, 3.3, 3.3], differenceSdV: 0.003 }, groups, battery);
		expect(verdicts).toMatchObject([{ code: 'bms-leads', warmth: 'stop', facts: { groups: at } }]);
	});
	it('agrees within their doubt, over the groups that both have read', () => {
		const verdicts = bmsVerdicts(
			{ bmsV: [3.3, null, 3.304], meterV: [3.301, 3.3, 3.3], differenceSdV: 0.003 },
			groups,
			battery
		);
		expect(verdicts).toMatchObject([{ code: 'bms-agrees', warmth: 'calm', facts: { groups: 2 } }]);
	});
	it('names the leads, not the reading, where a group cannot be what the BMS says', () => {
		const verdicts = bmsVerdicts(
			{ bmsV: [6.6, -3.3, 6.61], meterV: [3.301, 3.3, 3.3], differenceSdV: 0.003 },
			groups,
			battery
		);
		expect(verdicts).toMatchObject([{ code: 'bms-leads', warmth: 'stop', facts: { groups: [1, 2, 3] } }]);
	});
	it('says nothing where nothing was read by both', () =>
		expect(bmsVerdicts({ bmsV: [3.3], meterV: [null], differenceSdV: 0.003 }, groups, battery)).toEqual([]));
});

describe('charge counted in and out', () => {
	it.each([
		// 100 Ah in give 99.9 Ah out of a sound cell.
		[100, 99.9, 'counters-agree', 0],
		[100, 98.9, 'counters-agree', -0.01001],
		[100, 97.4, 'counters-disagree', -0.025025],
		[100, 103, 'counters-disagree', 0.031031]
	])('%s Ah in, %s Ah out: %s', (chargedAh, dischargedAh, code, gain) => {
		const verdict = counterVerdict({ chargedAh, dischargedAh });
		expect(verdict.code).toBe(code);
		expect((verdict.facts.gain as { value: number }).value).toBeCloseTo(gain, 5);
	});
	it('refuses two figures that cannot be of one charge', () =>
		expect(() => counterVerdict({ chargedAh: 100, dischargedAh: 20 })).toThrow(/between the same two ends/));
});

describe('the battery against what matching foretold', () => {
	const forecast = { testedSdAh: 2, forecastAh: 280, forecastSdAh: 1.5 };
	it.each([
		// 1.96 × √(2² + 1.5²) = 4.9 Ah.
		[276, 'capacity-as-matched'],
		[275, 'capacity-below-match'],
		[284.8, 'capacity-as-matched'],
		[285, 'capacity-above-match']
	])('%s Ah of 280: %s', (testedAh, code) =>
		expect(capacityForecastVerdict({ ...forecast, testedAh }).code).toBe(code)
	);
});
