import { expect, it } from 'vitest';
import { holding, literally } from './like';

it.each([
	['plain', 'plain'],
	['50 %', '50 \\%'],
	['S1_02', 'S1\\_02'],
	['a\\b', 'a\\\\b']
])('%s stands as %s', (text, pattern) => {
	expect(literally(text)).toBe(pattern);
	expect(holding(text)).toBe(`%${pattern}%`);
});
