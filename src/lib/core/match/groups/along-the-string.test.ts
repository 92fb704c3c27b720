import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { weakestToTheEnds } from '.';

const strength = ([id]: readonly number[]) => id!;

describe('groups along the battery', () => {
	it('the two weakest at the ends, the strongest in the middle', () => {
		expect(weakestToTheEnds([[5], [1], [3], [2], [4]], 5, strength)).toEqual([[1], [3], [5], [4], [2]]);
		expect(weakestToTheEnds([[3], [4], [1], [2]], 4, strength)).toEqual([[1], [3], [4], [2]]);
	});
	it('each battery by itself', () =>
		expect(weakestToTheEnds([[3], [1], [2], [6], [4], [5]], 3, strength)).toEqual([[1], [3], [2], [4], [6], [5]]));
	it('are the same groups, whatever they are', () =>
		fc.assert(
			fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 999 }), { minLength: 1, maxLength: 32 }), (ids) => {
				const placed = weakestToTheEnds(
					ids.map((id) => [id]),
					ids.length,
					strength
				);
				const inOrder = (list: number[]) => [...list].sort((a, b) => a - b);
				expect(inOrder(placed.flat())).toEqual(inOrder(ids));
				expect(placed[0]![0]).toBe(Math.min(...ids));
			})
		));
});
