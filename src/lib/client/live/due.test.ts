import { describe, expect, it } from 'vitest';
import { dueNow, type Due } from './due';

const HOUR = 3_600_000;
const now = Date.parse('2026-11-26T12:00:00Z');
const due = (key: string, hours: number): Due => ({
	key,
	what: key,
	message: 'm',
	href: '/',
	at: new Date(now + hours * HOUR).toISOString()
});

describe('what rings now', () => {
	it('is what has come and has not rung; what is to come says when to look again', () => {
		const list = [due('a', -1), due('b', 0), due('c', 2), due('d', 1)];
		const { ring, nextMs } = dueNow(list, new Set(['a']), now);
		expect(ring.map((d) => d.key)).toEqual(['b']);
		expect(nextMs).toBe(now + HOUR);
	});
	it('what was missed half a day ago is left to its page', () =>
		expect(dueNow([due('a', -13)], new Set(), now)).toEqual({ ring: [], nextMs: null }));
});
