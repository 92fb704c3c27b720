import { expect, it } from 'vitest';
import { bestPartner, exchanged, type Arrangement } from './arrangement';

const start: Arrangement = {
	groups: [
		[1, 2],
		[3, 4]
	],
	spares: [5]
};

it('exchanges two cells, a spare among them', () => {
	expect(exchanged(start, 1, 4)).toEqual({
		groups: [
			[4, 2],
			[3, 1]
		],
		spares: [5]
	});
	expect(exchanged(start, 3, 5)).toEqual({
		groups: [
			[1, 2],
			[5, 4]
		],
		spares: [3]
	});
	expect(start.groups[0]).toEqual([1, 2]);
});
it('chooses the partner that costs least', () => {
	const cost = (a: Arrangement) => (a.groups[0]!.includes(4) ? 0 : 1);
	expect(bestPartner(start, 1, 1, cost)).toBe(4);
	expect(bestPartner(start, 1, 0, cost)).toBeNull();
	expect(bestPartner({ ...start, spares: [] }, 1, 'spares', cost)).toBeNull();
});
