import { expect, it } from 'vitest';
import { shadeRange, shadesOf } from './tray-cell';

it('shades from lowest to highest and leaves gaps', () => {
	expect(shadesOf([3.29, null, 3.31, 3.3], 0.008)).toEqual([0, null, 1, expect.closeTo(0.5, 9)]);
	expect(shadesOf([null], 1)).toEqual([null]);
});
it('paints noise below what matters in one shade', () => {
	expect(shadesOf([3.29, 3.291], 0.008)).toEqual([expect.closeTo(0.4375, 6), expect.closeTo(0.5625, 6)]);
	expect(shadesOf([2, 2], 0)).toEqual([0.5, 0.5]);
});
it('is not flattened by stray cells', () => {
	const shades = shadesOf([0.9, 2.3, 3.28, 3.283, 3.286, 3.289, 3.292, 3.295, 3.298, 3.301], 0.008) as number[];
	expect(shades[0]).toBe(0);
	expect(shades.at(-1)).toBe(1);
	expect(shades[7]! - shades[3]!).toBeGreaterThan(0.4);
	expect(shadeRange([0.9, 3.29, 3.29, 3.29, 3.3, 3.3], 0.008).low).toBeGreaterThan(3);
});
