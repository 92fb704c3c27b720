import { describe, expect, it } from 'vitest';
import { VERDICT_CODES } from '$lib/core/foundation/verdicts';
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

describe('what asks for a look', () => {
	it('of a supplier leads to the report, but not from the report itself', () => {
		const short = { code: 'capacity-short', warmth: 'look' } as const;
		expect(remedyOf(short, 3, '/banks/3/test')).toEqual({
			href: '/banks/3/receive/report',
			text: 'The report to the supplier'
		});
		expect(remedyOf(short, 3, '/banks/3/receive/report')).toBeNull();
		expect(remedyOf({ ...short, warmth: 'calm' }, 3, '/banks/3/test')).toBeNull();
	});
	it('a leak leads to where somebody says what became of it', () =>
		expect(remedyOf({ code: 'inspection-stop', warmth: 'stop' }, 3, '/banks/3/test')?.href).toBe(
			'/banks/3/receive/look'
		));
});
