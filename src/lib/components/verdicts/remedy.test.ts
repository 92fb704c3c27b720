import { expect, it } from 'vitest';
import { VERDICT_CODES } from '$lib/core/verdicts';
import { remedyOf } from './remedy';

it('leads from a stop to where it is mended, and not where one stands already', () => {
	const leads = { code: 'leads-wrong', warmth: 'stop' } as const;
	expect(remedyOf(leads, 7, '/banks/7/prove/gate')).toEqual({ href: '/banks/7/build/leads', text: 'Go to the leads' });
	expect(remedyOf(leads, 7, '/banks/7/build/leads')).toBeNull();
	expect(remedyOf({ ...leads, warmth: 'look' }, 7, '/')).toBeNull();
});
it('names only verdicts there are', () => {
	for (const code of [
		'polarity',
		'join-refused',
		'fuse-over-cable',
		'chain-broken',
		'bms-leads',
		'prove-shut',
		'match-too-uneven'
	])
		expect(VERDICT_CODES).toContain(code);
});
