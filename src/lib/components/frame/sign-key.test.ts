import { describe, expect, it } from 'vitest';
import { mayBeNegative, withOtherSign } from './sign-key';

describe('the key that a pad of digits lacks', () => {
	it.each([
		['3.29', '-3.29'],
		['-3.29', '3.29'],
		['−12', '12'],
		['+4', '-4'],
		['', '-'],
		['-', '']
	])('turns "%s" into "%s"', (typed, turned) => expect(withOtherSign(typed)).toBe(turned));
	it('stands where a field takes less than nought, or nobody said that it does not', () => {
		expect(['', '-20', '0', '0.5'].map(mayBeNegative)).toEqual([true, true, false, false]);
	});
});
