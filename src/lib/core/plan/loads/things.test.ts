import { describe, expect, it } from 'vitest';
import { USUAL_LOADS, libraryOf } from '.';

const kettle = USUAL_LOADS.find((l) => l.name === 'Kettle')!;

describe('the library of things', () => {
	it('is the usual ones while nobody has made any their own', () => {
		expect(libraryOf([]).map((t) => t.load)).toEqual(USUAL_LOADS);
		expect(libraryOf([kettle]).every((t) => !t.isOwn)).toBe(true);
	});
	it('a usual thing with other figures stands in its place, the newest of them; a new one comes first', () => {
		const own = { ...kettle, w: 1200 };
		const lamp = { ...kettle, name: 'Anchor light', w: 3, dc: true };
		const things = libraryOf([own, lamp, { ...kettle, w: 2000 }]);
		expect(things[0]).toEqual({ load: lamp, isOwn: true });
		expect(things.filter((t) => t.load.name === 'Kettle')).toEqual([{ load: own, isOwn: true }]);
		expect(things).toHaveLength(USUAL_LOADS.length + 1);
	});
});
