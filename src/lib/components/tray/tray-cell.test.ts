import { expect, it } from 'vitest';
import { shadesOf } from './tray-cell';

it('shades from lowest to highest and leaves gaps', () => {
	expect(shadesOf([3.29, null, 3.31, 3.3])).toEqual([0, null, 1, expect.closeTo(0.5, 9)]);
	expect(shadesOf([2, 2])).toEqual([0.5, 0.5]);
	expect(shadesOf([null])).toEqual([null]);
});
