import { expect, it } from 'vitest';
import { hoursText, parseHours } from '.';

it.each([
	['7-9, 18-20', [7, 8, 18, 19]],
	['22–2', [0, 1, 22, 23]],
	['7', [7]],
	['7:00 to 9:00', [7, 8]],
	['23-24', [23]],
	['all day', Array.from({ length: 24 }, (_, h) => h)],
	['', []]
])('%s is %j', (text, hours) => expect(parseHours(text)).toEqual(hours));
it.each(['25', '7-7', 'noon', '7-30', '-3'])('%s is none', (text) => expect(parseHours(text)).toBeNull());
it('what is written is understood', () => {
	for (const hours of [[0], [5, 6, 7, 12], [0, 23], [1, 3, 5], Array.from({ length: 24 }, (_, h) => h)])
		expect(parseHours(hoursText(hours))).toEqual(hours);
	expect(hoursText([18, 19, 20, 7])).toBe('7–8, 18–21');
});
