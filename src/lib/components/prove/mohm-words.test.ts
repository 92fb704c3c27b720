import { expect, it } from 'vitest';
import { flowWords, mohmRange, signedMohm } from './mohm-words';

it.each([
	[0.402, '+0.40'],
	[-0.021, '−0.02'],
	[-0.002, '0.00']
])('%s mΩ over its like is %s', (mOhm, text) => expect(signedMohm(mOhm)).toBe(text));
it('says at most where a joint may be as good as its like', () => {
	expect(mohmRange({ low95: 0.27, high95: 0.53 })).toBe('0.27 to 0.53 mΩ');
	expect(mohmRange({ low95: -0.11, high95: 0.14 })).toBe('at most 0.14 mΩ');
	expect(mohmRange({ low95: -0.3, high95: -0.05 })).toBe('at most 0.00 mΩ');
});
it('says which way a current flows', () => expect([flowWords(-60), flowWords(20)]).toEqual(['60 A out', '20 A in']));
