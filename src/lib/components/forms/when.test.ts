import { expect, it } from 'vitest';
import { aboutWhen, momentOf } from './when';

it('reads local time, and nothing where there is none', () => {
	expect(momentOf('2026-03-09T14:05')).toBe(new Date(2026, 2, 9, 14, 5).toISOString());
	expect(momentOf('')).toBeNull();
	expect(momentOf('soon')).toBeNull();
});
it('says about where a time is rough', () => {
	expect(aboutWhen('9 Mar 2026', 3600)).toBe('about 9 Mar 2026');
	expect(aboutWhen('9 Mar 2026', null)).toBe('9 Mar 2026');
});
