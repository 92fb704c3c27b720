import { describe, expect, it } from 'vitest';
import { chargeVerdicts, judgeProgress, type ChargeProgress, type ChargeReading } from '.';

const progress: ChargeProgress = {
	phase: 'constant-current',
	deliveredAh: 120,
	remainingS: { low: 3600, high: 7200 },
	leadOhm: 0.01,
	done: false,
	flatA: null,
	unmet: [{ wanted: 'supply-at-set', setV: 3.65 }, { wanted: 'meter-at-cells' }],
	...{ supply: null, last: null }
};

describe('verdicts on a running charge', () => {
	it('say calmly what is still missing', () => {
		expect(chargeVerdicts(progress)).toMatchObject([
			{
				code: 'balance-unmet',
				warmth: 'calm',
				title: 'Not done: at full current',
				finding: 'Supply at 3.65 V. Meter reading at the cells.'
			}
		]);
	});
	it('call for a person when it is done', () => {
		expect(chargeVerdicts({ ...progress, phase: 'held', done: true, unmet: [] })).toMatchObject([
			{ code: 'balance-done', warmth: 'look' }
		]);
	});
	it('name the leads and their resistance, or ask for the reading that would tell', () => {
		const limited = { ...progress, phase: 'lead-limited' as const };
		expect(chargeVerdicts({ ...limited, leadOhm: 0.05 })[0]).toMatchObject({
			code: 'lead-drop',
			finding: expect.stringContaining('50 mΩ')
		});
		expect(chargeVerdicts({ ...limited, leadOhm: null })[0]!.doubt).toContain('supply’s volts');
		expect(chargeVerdicts(limited)).toHaveLength(2);
	});
});

describe('a supply that does not do what it should', () => {
	const set = { setV: 3.6, setA: 20, leadCostH: null, tailA: 2, toDeliverAh: { low: 100, high: 200 } };
	const look = (timeS: number, supplyA: number, supplyV: number | null, cellV: number | null) => ({
		...{ timeS, supplyA, supplyV, cellV, deliveredAh: null }
	});
	const codes = (...readings: ChargeReading[]) =>
		chargeVerdicts(judgeProgress(readings, set), undefined, set).map((v) => v.code);
	it('gives nothing below its volts, or neither its volts nor its amperes', () => {
		expect(codes(look(60, 0, 3.3, 3.3))).toEqual(['supply-dead', 'balance-unmet']);
		expect(codes(look(60, 12, 3.4, 3.38))).toEqual(['supply-sags', 'balance-unmet']);
		expect(codes(look(60, 20, 3.4, 3.35))).toEqual(['balance-unmet']);
		expect(codes({ ...look(60, 0, 3.3, 3.3), stopped: true })).toEqual(['balance-unmet']);
	});
	it('over several days what went in is added up, by amperes or by a counter that begins anew', () => {
		const H = 3600;
		const twoDays = [
			look(0, 20, 3.4, 3.3),
			look(2 * H, 0, null, 3.3),
			look(14 * H, 20, 3.4, 3.3),
			look(16 * H, 20, 3.4, 3.3)
		];
		expect(judgeProgress(twoDays, set).deliveredAh).toBeCloseTo(80, 9);
		const counted = [10, 40, 5, 25].map((deliveredAh, i) => ({ ...look(i * H, 20, 3.4, 3.3), deliveredAh }));
		expect(judgeProgress(counted, set).deliveredAh).toBe(65);
	});
	it('leads that pass for fullness say what they cost', () => {
		const led = judgeProgress([look(0, 20, 3.6, 3.3), look(3600, 15, 3.6, 3.45)], set);
		const [verdict] = chargeVerdicts(led, undefined, { ...set, leadCostH: 12 });
		expect(verdict).toMatchObject({ code: 'lead-drop', facts: { costH: 12 } });
		expect(verdict!.finding).toContain('12 h');
	});
});
