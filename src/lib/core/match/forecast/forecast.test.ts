import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { forecast } from '.';

const cells = [
	{ id: 'a', capacityAh: 100, soc: 0.5 },
	{ id: 'b', capacityAh: 90, soc: 0.6 },
	{ id: 'c', capacityAh: 110, soc: 0.4 }
];
const single = [['a'], ['b'], ['c']];

describe('what a string gives', () => {
	it('unbalanced, by hand: b fills first after 36 Ah, c is empty first with 44', () => {
		const found = forecast(cells, single, 'none');
		expect(found.usableAh).toBeCloseTo(80, 9);
		expect(found).toMatchObject({ endsCharge: 2, endsDischarge: 3 });
		expect(found.leftAh.map((v) => Math.round(v))).toEqual([6, 10, 0]);
	});
	it('balanced at an end it gives its smallest group; at the top the others keep what they have more', () => {
		expect(forecast(cells, single, 'top')).toMatchObject({ usableAh: 90, endsDischarge: 2, leftAh: [10, 0, 20] });
		expect(forecast(cells, single, 'bottom')).toMatchObject({ usableAh: 90, endsCharge: 2, leftAh: [0, 0, 0] });
	});
	it('parallel cells add up', () =>
		expect(forecast(cells, [['a', 'b'], ['c']], 'top')).toMatchObject({
			usableAh: 110,
			endsDischarge: 2,
			leftAh: [80, 0]
		}));
	it('actively, by hand: 2 A in 2 h lift the weakest by 3.4 Ah, and what was given is gone from the strongest', () => {
		const { usableAh, leftAh } = forecast(cells, single, { activeA: 2, hours: 2 });
		expect(usableAh).toBeCloseTo(93.4, 6);
		expect(leftAh[0]).toBeCloseTo(6.6, 6);
		expect(leftAh[1]).toBeCloseTo(0, 6);
		expect(leftAh[2]).toBeCloseTo(110 - 4 - 93.4, 6);
	});
	it('two weak ones share what is moved', () => {
		const two = ['x', 'y', 'z'].map((id, i) => ({ id, capacityAh: [90, 90, 120][i]! }));
		expect(forecast(two, [['x'], ['y'], ['z']], { activeA: 2, hours: 2 }).usableAh).toBeCloseTo(91.7, 6);
	});
	it('never gives more than the mean, nor less than the smallest, and loses nothing but by transfer', () => {
		const strings = fc.array(fc.integer({ min: 50, max: 150 }), { minLength: 2, maxLength: 16 });
		fc.assert(
			fc.property(strings, fc.integer({ min: 0, max: 20 }), (ah, hours) => {
				const own = ah.map((capacityAh, id) => ({ id, capacityAh }));
				const { usableAh, leftAh } = forecast(
					own,
					own.map((c) => [c.id]),
					{ activeA: 3, hours }
				);
				const total = ah.reduce((a, b) => a + b, 0);
				expect(usableAh).toBeGreaterThanOrEqual(Math.min(...ah) - 1e-9);
				expect(usableAh).toBeLessThanOrEqual(total / ah.length + 1e-9);
				expect(usableAh).toBeLessThanOrEqual(Math.min(...ah) + 0.85 * 3 * hours + 1e-6);
				expect(usableAh * ah.length + leftAh.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(total + 1e-6);
			})
		);
	});
	it.each([
		[[['a'], ['d']], 'top', /names d/],
		[[['a'], ['a']], 'top', /two places/],
		[[], 'top', /one group/],
		[[['a'], []], 'top', /one cell/]
	] as const)('refuses %j', (groups, balance, message) =>
		expect(() => forecast(cells, groups, balance)).toThrow(message)
	);
	it('asks for the charge of each where nothing balances', () =>
		expect(() => forecast([{ id: 1, capacityAh: 100 }], [[1]], 'none')).toThrow(/cells.0.soc/));
});
