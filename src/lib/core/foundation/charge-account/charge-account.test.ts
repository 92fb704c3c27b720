import { describe, expect, it } from 'vitest';
import { chargeAt, chargeBefore, countedAh, type ChargeMovement } from '.';

const DAY = 86_400_000;
const movement = (day: number, more: Partial<ChargeMovement>): ChargeMovement => ({
	fromMs: day * DAY,
	untilMs: day * DAY + 1000,
	end: null,
	movedAh: null,
	...more
});
const rest = (day: number, low: number, high: number) => ({ atMs: day * DAY, share: { low, high } });
const of = (movements: ChargeMovement[], rests = [] as ReturnType<typeof rest>[]) => ({
	capacityAh: 100,
	movements,
	rests,
	lostADay: 0.001
});

describe('what a cell holds', () => {
	it('of a cell nothing is known of, anything', () =>
		expect(chargeAt(of([]), DAY)).toEqual({ share: { low: 0, high: 1 }, knownMs: null, by: 'nothing' }));

	it('emptied and given 50 Ah of 100, about half', () => {
		const { share, by } = chargeAt(
			of([movement(1, { end: 'empty' }), movement(2, { movedAh: countedAh(50) })], [rest(0, 0.3, 0.7)]),
			3 * DAY
		);
		expect(by).toBe('counted');
		expect(share.low).toBeGreaterThan(0.46);
		expect(share.high).toBeLessThan(0.55);
		expect(share.low).toBeLessThan(0.5);
		expect(share.high).toBeGreaterThan(0.5);
	});

	it('loses by itself while it stands', () => {
		const full = of([movement(1, { end: 'full' })]);
		// By hand: 30 days at a thousandth a day.
		expect(chargeAt(full, 31 * DAY).share.low).toBeCloseTo(0.99 - 0.03, 3);
		expect(chargeAt(full, 31 * DAY).share.high).toBe(1);
	});

	it('of a discharge that nobody counted knows nothing until something tells it again', () => {
		const uncounted = [movement(1, { end: 'full' }), movement(2, {})];
		expect(chargeAt(of(uncounted), 3 * DAY)).toMatchObject({ by: 'nothing', share: { low: 0, high: 1 } });
		expect(chargeAt(of(uncounted, [rest(4, 0.2, 0.4)]), 4 * DAY)).toMatchObject({ by: 'rest', share: { low: 0.2 } });
	});

	it('of a charge into a cell of unknown charge knows what is in it at least', () => {
		const { share } = chargeAt(of([movement(1, { movedAh: { low: 40, high: 42 } })]), 2 * DAY);
		expect(share.low).toBeCloseTo(0.4 - 0.001, 6);
		expect(share.high).toBe(1);
	});

	it('while something goes on, knows nothing and takes no voltage for one of rest', () => {
		const going = of([movement(1, { untilMs: null })], [rest(2, 0.9, 1)]);
		expect(chargeAt(going, 3 * DAY).by).toBe('nothing');
	});

	it('a voltage beside what was counted narrows it; where they exclude each other both may be wrong', () => {
		const counted = [movement(1, { end: 'empty' }), movement(2, { movedAh: { low: 48, high: 52 } })];
		expect(chargeAt(of(counted, [rest(3, 0.49, 0.7)]), 3 * DAY).share.low).toBeCloseTo(0.49, 6);
		const apart = chargeAt(of(counted, [rest(3, 0.7, 0.8)]), 3 * DAY).share;
		expect(apart.low).toBeLessThan(0.5);
		expect(apart.high).toBe(0.8);
	});

	it('the later of two voltages stands: both err by the same curve', () =>
		expect(chargeAt(of([], [rest(1, 0.4, 0.6), rest(2, 0.5, 0.8)]), 2 * DAY).share).toEqual({ low: 0.5, high: 0.8 }));

	it('what comes later is not looked at', () =>
		expect(chargeAt(of([movement(5, { end: 'full' })], [rest(1, 0.4, 0.6)]), 2 * DAY).by).toBe('rest'));

	it('refuses what is no capacity', () =>
		expect(() => chargeAt({ ...of([]), capacityAh: 0 }, 0)).toThrow(/capacityAh/));
});

describe('what a cell arrived with', () => {
	it('is what its first charge to the tail did not put in', () => {
		const before = chargeBefore({
			capacityAh: 100,
			movements: [movement(1, { end: 'full', movedAh: countedAh(55) })]
		})!;
		expect(before.low).toBeLessThan(0.45);
		expect(before.high).toBeGreaterThan(0.45);
		expect(before.high - before.low).toBeLessThan(0.08);
	});

	it('adds what was counted until the first end', () => {
		const movements = [
			movement(1, { movedAh: { low: 20, high: 20 } }),
			movement(2, { end: 'full', movedAh: { low: 30, high: 30 } })
		];
		expect(chargeBefore({ capacityAh: 100, movements })!.high).toBeCloseTo(0.5, 9);
	});

	it('is not told where something before the end was not counted, or nothing ended', () => {
		expect(
			chargeBefore({
				capacityAh: 100,
				movements: [movement(1, {}), movement(2, { end: 'full', movedAh: countedAh(30) })]
			})
		).toBe(null);
		expect(chargeBefore({ capacityAh: 100, movements: [movement(1, { movedAh: countedAh(30) })] })).toBe(null);
	});
});
