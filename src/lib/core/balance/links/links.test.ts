import { describe, expect, it } from 'vitest';
import type { Subject } from '../../foundation/verdicts';
import { judgeLinksOff, linkState } from '.';

const bank: Subject = { kind: 'bank', id: 1, label: 'Cabin' };
const judged = (volts: (number | null)[], balancePlugOut = true, meterProved = true) =>
	judgeLinksOff('LFP', volts, { balancePlugOut, meterProved }, bank);

describe('a reading across two neighbours', () => {
	it.each([
		[6.6, 'linked'],
		[-6.62, 'linked'],
		[7.1, 'linked'],
		[5.2, 'linked'],
		[0, 'off'],
		[0.02, 'off'],
		[0.7, 'off'],
		[-0.3, 'off'],
		[3.3, 'unclear'],
		[13.2, 'unclear'],
		[null, 'unread']
	] as const)('%s V: %s', (volts, state) => expect(linkState('LFP', volts)).toBe(state));
	it('a reading that is no number is refused', () => expect(() => linkState('LFP', NaN)).toThrow(/readV/));
});

describe('every series link off', () => {
	it('one that is still on stops everything, and is named by its place', () => {
		expect(judged([0, 6.58, 0.1])).toMatchObject({ code: 'links-still-on', warmth: 'stop', facts: { linked: [2] } });
		expect(judged([0, 6.58, 0.1]).finding).toContain('2 and 3');
	});
	it('is proved only when every pair was read and the balance plug is out', () => {
		expect(judged([0, 0.01, 0.4])).toMatchObject({ code: 'links-off', warmth: 'calm' });
		expect(judged([0, null, 0.4])).toMatchObject({ code: 'links-unproved', facts: { unread: [2] } });
		expect(judged([0, 0, 0], false)).toMatchObject({ code: 'links-unproved', warmth: 'open' });
		// All zero is what a dead meter shows.
		expect(judged([0, 0, 0], true, false)).toMatchObject({ code: 'links-unproved', warmth: 'open' });
		expect(judged([0, 3.3, 0])).toMatchObject({ code: 'links-unproved', facts: { unclear: [2] } });
	});
	it('refuses no pair at all', () => expect(() => judged([])).toThrow(/one pair/));
});
