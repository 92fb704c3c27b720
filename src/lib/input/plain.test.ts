import { describe, expect, it } from 'vitest';
import { refuseHostile } from './plain';
import { InputError } from './validate';

const pathOf = (value: unknown, limits = {}) => {
	try {
		refuseHostile(value, limits);
		return null;
	} catch (error) {
		return (error as InputError).faults[0]!.path;
	}
};
const nested = (levels: number): unknown => (levels === 0 ? 1 : { a: nested(levels - 1) });

describe('a body', () => {
	it('that somebody may have meant is let through', () => {
		expect(pathOf({ cells: [{ id: 1, name: 'ä 🜂' }], list: Array.from({ length: 100_000 }, () => 1) })).toBeNull();
		expect(pathOf(nested(15))).toBeNull();
		for (const plain of [null, 7, 'x', true, []]) expect(pathOf(plain)).toBeNull();
	});
	it('nested too deep is refused without recursion', () => {
		expect(pathOf(nested(17))).toBe(Array.from({ length: 16 }, () => 'a').join('.'));
		let deep: unknown = 1;
		for (let i = 0; i < 200_000; i++) deep = [deep];
		expect(pathOf(deep)).not.toBeNull();
	});
	it('with far too many fields, entries or characters is refused by path', () => {
		const fields = Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`f${i}`, 1]));
		expect(pathOf({ in: fields })).toBe('in');
		expect(pathOf({ list: Array.from({ length: 300_001 }, () => 1) })).toBe('list');
		expect(pathOf({ a: ['x'.repeat(20_001)] })).toBe('a.0');
		expect(pathOf({ a: 'x'.repeat(20_001) }, { text: 30_000 })).toBeNull();
		expect(pathOf(Array.from({ length: 1001 }, () => Object.fromEntries(Object.entries(fields).slice(0, 200))))).toBe(
			''
		);
	});
	it('with names the language uses, or half a character, is refused', () => {
		expect(pathOf({ a: { constructor: { name: 1 } } })).toBe('a.constructor');
		expect(pathOf(JSON.parse('{"__proto__":{"x":1}}'))).toBe('__proto__');
		expect(pathOf({ a: ['\ud800'] })).toBe('a.0');
		expect(pathOf({ '\ud800': 1 })).toBe('');
	});
});
