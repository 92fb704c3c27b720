import { expect, it } from 'vitest';
import { momentOf } from './when';

it('reads local time, and nothing where there is none', () => {
	expect(momentOf('2026-03-09T14:05')).toBe(new Date(2026, 2, 9, 14, 5).toISOString());
	expect(momentOf('')).toBeNull();
	expect(momentOf('soon')).toBeNull();
});
