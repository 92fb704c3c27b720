import { describe, expect, it } from 'vitest';
import { measured } from '$lib/core/foundation/verdicts';
import { shortMark } from './short-mark';

describe('a verdict under its cell', () => {
	it.each([
		['deep-discharged', {}, 'too low'],
		['voltage-outlier', { differenceV: measured(-0.04, 0.002) }, '40 mV low'],
		['resistance-outlier', { relativeDifference: 0.24 }, '24 % more Ω'],
		['inspection-stop', { reasons: ['leak', 'smell'] }, 'leak, smell'],
		['inspection-look', { seen: ['dent'], renewed: false }, 'dent'],
		['inspection-look', { seen: [], renewed: true }, 'sleeve'],
		['mass-outlier', { relativeDifference: -0.02 }, 'lighter'],
		['code-older-than-promised', {}, 'older'],
		['something-new', {}, 'Its title']
	])('%s %j → %s', (code, facts, mark) => expect(shortMark({ code, facts, title: 'Its title' })).toBe(mark));
});
