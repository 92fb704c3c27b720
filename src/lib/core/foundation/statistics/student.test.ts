import { describe, expect, it } from 'vitest';
import { studentHalf95 } from '.';

describe('the middle 95 % of Student’s t', () => {
	// From printed tables of the distribution.
	it.each([
		[1, 12.706],
		[2, 4.303],
		[4, 2.776],
		[5, 2.571],
		[10, 2.228],
		[30, 2.042],
		[120, 1.98]
	])('of %i degrees is ± %f', (degrees, half) => {
		expect(studentHalf95(degrees) / half).toBeCloseTo(1, 2);
	});
});
