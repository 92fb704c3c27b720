import { expect, it } from 'vitest';
import { computeLimits } from '$lib/core/limits/values';
import { limitText, limitsCsv, limitsText } from './limit-sheet';

const values = computeLimits({
	chemistry: 'LFP',
	series: 4,
	parallel: 1,
	strategy: 'full-span',
	cell: { ratedAh: 100 }
});

it('writes every value once in each form', () => {
	expect(limitsCsv(values).trim().split('\r\n')).toHaveLength(values.length + 1);
	expect(limitsText('Bank', values)).toContain('BMS: Cell high 3.650 V, release 3.500 V, delay 2 s');
});
it('shows a trigger of millivolts with its digits', () =>
	expect(limitText(0.008, { unit: 'V', key: 'balanceTriggerV' })).toBe('0.0080'));
