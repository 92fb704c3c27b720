import { expect, it } from 'vitest';
import { allVoltsTyped, voltsTyped } from './volt-list';

it('reads point and comma, and keeps what is blank blank', () =>
	expect(voltsTyped(['3.302', '3,298', ' '], 'At rest')).toEqual([3.302, 3.298, null]));
it('names the first that is no voltage, or missing', () => {
	expect(() => voltsTyped(['3.302', 'x'], 'At rest')).toThrow('At rest, group 2: write a voltage like 3.302.');
	expect(() => allVoltsTyped(['3.302', ''], 'Under load')).toThrow('Under load: group 2 is not read yet.');
	expect(allVoltsTyped(['3.302'], 'Under load')).toEqual([3.302]);
});
