import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ScpiError, booleanOf, headerExpression, numberOf, parseMessage, stringOf, wordOf } from './syntax';

const codeOf = (work: () => unknown): number => {
	try {
		work();
	} catch (error) {
		return (error as ScpiError).code;
	}
	return 0;
};

describe('a line', () => {
	it('is cut into commands and parameters, not inside quotes', () => {
		expect(parseMessage(`VOLT 3.65;:HAND:CLIP LOAD,'{"a":1;b,c}' ; *IDN?`)).toEqual([
			{ header: 'VOLT', parameters: ['3.65'] },
			{ header: ':HAND:CLIP', parameters: ['LOAD', `'{"a":1;b,c}'`] },
			{ header: '*IDN?', parameters: [] }
		]);
	});
	it('may be empty, or have empty commands', () => expect(parseMessage(' ;; ')).toEqual([]));
	it.each([
		['1VOLT', -102],
		['VOLT::X', -102],
		['A "open', -151]
	])('%s is error %i', (line, code) => expect(codeOf(() => parseMessage(line))).toBe(code));
	it('of any text is parsed or refused by number', () => {
		fc.assert(
			fc.property(fc.string(), (text) => {
				const code = codeOf(() => parseMessage(text.replaceAll('\n', ' ')));
				expect([0, -102, -151]).toContain(code);
			})
		);
	});
});

describe('a header pattern', () => {
	const voltage = headerExpression('MEASure[:SCALar]:VOLTage[:DC]?');
	it.each(['MEAS:VOLT?', 'MEASURE:SCALAR:VOLTAGE:DC?', ':meas:volt:dc?', 'Measure:Volt?'])('knows %s', (header) =>
		expect(voltage.test(header)).toBe(true)
	);
	it.each(['MEAS:VOLT', 'MEASU:VOLT?', 'VOLT?', 'MEAS:DC?', 'MEAS:VOLT:AC?', 'XMEAS:VOLT?'])(
		'does not know %s',
		(header) => expect(voltage.test(header)).toBe(false)
	);
	it('may begin with what can be left out, and common commands are literal', () => {
		const set = headerExpression('[SOURce:]VOLTage[:LEVel]');
		expect(['VOLT', 'SOUR:VOLT', 'source:voltage:level'].every((h) => set.test(h))).toBe(true);
		expect(headerExpression('*IDN?').test('*idn?')).toBe(true);
		expect(headerExpression('*IDN?').test('IDN?')).toBe(false);
	});
});

describe('parameters', () => {
	it.each([
		['3.65', 3.65],
		['3.65 V', 3.65],
		['3650mV', 3.65],
		['0.01KV', 10],
		['1e1', 10],
		['-0', -0],
		['MIN', 0],
		['maximum', 60]
	])('%s is %d V', (text, volts) => expect(numberOf(text, 'V', 0, 60)).toBeCloseTo(volts, 12));
	it.each([
		[undefined, -109],
		['abc', -104],
		['3 A', -131],
		['61', -222],
		['-1', -222],
		['1e999', -222]
	])('%s is error %i', (text, code) => expect(codeOf(() => numberOf(text, 'V', 0, 60))).toBe(code));
	it('say yes and no in two ways each', () => {
		expect([booleanOf('on'), booleanOf('1'), booleanOf('OFF'), booleanOf('0')]).toEqual([true, true, false, false]);
		expect(codeOf(() => booleanOf('2'))).toBe(-104);
		expect(codeOf(() => booleanOf(undefined))).toBe(-109);
	});
	it('are words of a list in short or long form', () => {
		expect(wordOf('pow', ['CURRent', 'POWer'])).toBe('POWer');
		expect(codeOf(() => wordOf('volt', ['CURRent', 'POWer']))).toBe(-224);
	});
	it('are strings whatever is in them, a quote written twice', () => {
		fc.assert(
			fc.property(fc.string(), fc.constantFrom('"', "'"), (text, quote) => {
				expect(stringOf(quote + text.replaceAll(quote, quote + quote) + quote)).toBe(text);
			})
		);
		expect(codeOf(() => stringOf('bare'))).toBe(-104);
	});
});
