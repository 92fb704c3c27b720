import { describe, expect, it } from 'vitest';
import { chargeVerdicts, type ChargeProgress } from '.';

const progress: ChargeProgress = {
	phase: 'constant-current',
	deliveredAh: 120,
	remainingS: { low: 3600, high: 7200 },
	leadOhm: 0.01,
	done: false,
	flatA: null,
	unmet: [{ wanted: 'supply-at-set', setV: 3.65 }, { wanted: 'meter-at-cells' }]
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
