import { expect, it } from 'vitest';
import { percentText, typedVolts } from './lead-entry';

it('shows what was read, and leaves blank what was not', () => {
	expect(typedVolts([0, 3.3, null], 4)).toEqual(['0.000', '3.300', '', '']);
	expect(typedVolts(null, 2)).toEqual(['', '']);
});
it.each([
	[1, '> 99.9 %'],
	[0.996, '99.6 %'],
	[0.73, '73 %'],
	[0.034, '3.4 %'],
	[1e-9, '< 0.1 %']
])('%s is %s: nothing is certain', (probability, text) => expect(percentText(probability)).toBe(text));
