import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { forecast } from '../../match/forecast';
import { CHALLENGES, apart, createVessels, moveCharge, pour, usableAh, voltsOf, whoStops, type Vessels } from '.';

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
const run = (vessels: Vessels, ah: number) => moveCharge(vessels, ah, 'LFP');

describe('a string of vessels', () => {
	it('by hand: the fullest stops the charge, the emptiest the discharge', () => {
		const vessels = createVessels([100, 90, 110], [0.5, 0.6, 0.4]);
		expect(usableAh(vessels)).toBeCloseTo(36 + 44, 9);
		const up = run(vessels, 1000);
		expect(up.stop).toEqual({ cell: 1, end: 'full' });
		expect(up.movedAh).toBeCloseTo(36, 9);
		const down = run(up.vessels, -1000);
		expect(down.stop).toEqual({ cell: 2, end: 'empty' });
		expect(down.movedAh).toBeCloseTo(-80, 9);
	});
	it('from its first stop to its other it moves what the forecast says, whatever the cells', () => {
		const cell = fc.record({ ah: fc.integer({ min: 20, max: 300 }), soc: fc.double({ min: 0, max: 1, noNaN: true }) });
		fc.assert(
			fc.property(fc.array(cell, { minLength: 1, maxLength: 16 }), (cells) => {
				const vessels = createVessels(
					cells.map((c) => c.ah),
					cells.map((c) => c.soc)
				);
				const moved = -run(run(vessels, 1e6).vessels, -1e6).movedAh;
				const ids = cells.map((c, id) => ({ id, capacityAh: c.ah, soc: c.soc }));
				expect(moved).toBeCloseTo(
					forecast(
						ids,
						ids.map((c) => [c.id]),
						'none'
					).usableAh,
					6
				);
				expect(moved).toBeCloseTo(usableAh(vessels), 6);
			})
		);
	});
	it('balanced at an end gives its smallest', () => {
		for (const start of ['top', 'bottom'] as const) expect(usableAh(createVessels([100, 80, 120], start))).toBe(80);
		expect(whoStops(createVessels([100, 80, 120], 'top')).empty).toBe(1);
		expect(whoStops(createVessels([100, 80, 120], 'bottom')).full).toBe(1);
	});
	it('a balancer moves charge where voltages differ, loses some of it, and idles on the plateau', () => {
		const steep = createVessels([100, 80], 'bottom');
		const low = pour(pour(steep, 0, 10), 1, 4);
		const after = moveCharge(low, 1, 'LFP', { activeA: 5, triggerV: 0.01 }, 0.2).vessels;
		expect(after.chargeAh[0]).toBeLessThan(11);
		expect(after.chargeAh[1]).toBeGreaterThan(5);
		expect(sum(after.chargeAh)).toBeLessThan(sum(low.chargeAh) + 2);
		const flat = createVessels([100, 100], [0.8, 0.9]);
		const moved = moveCharge(flat, 1, 'LFP', { activeA: 5, triggerV: 0.02 }, 0.2).vessels.chargeAh;
		expect(moved[0]).toBeCloseTo(81, 9);
		expect(moved[1]).toBeCloseTo(91, 9);
	});
	it('voltages rise with charge', () => {
		const volts = voltsOf(createVessels([100, 100, 100, 100], [0, 0.1, 0.5, 1]), 'LFP');
		expect(volts).toEqual([...volts].sort((a, b) => a - b));
	});
	it('refuses none, a cell without capacity, and a charge that cannot be', () => {
		expect(() => createVessels([], 'top')).toThrow(/capacityAh/);
		expect(() => createVessels([100, 0], 'top')).toThrow(/capacityAh.1/);
		expect(() => createVessels([100], [1.2])).toThrow(/start.0/);
		expect(() => createVessels([100, 100], [0.5])).toThrow(/start.1/);
	});
});

describe('the challenges', () => {
	const of = (key: string) => CHALLENGES.find((c) => c.key === key)!;
	it('none is solved before anything is done', () => {
		expect(CHALLENGES).toHaveLength(6);
		for (const c of CHALLENGES) expect(c.isSolved({ vessels: c.start, chosen: null }, 'LFP'), c.key).toBe(false);
	});
	it('choosing is judged by who really stops', () => {
		const right = (key: string) =>
			[0, 1, 2, 3].filter((chosen) => of(key).isSolved({ vessels: of(key).start, chosen }, 'LFP'));
		expect(right('trips-first')).toEqual([run(of('trips-first').start, 1e6).stop!.cell]);
		expect(right('ends')).toEqual([run(of('ends').start, -1e6).stop!.cell]);
		expect(right('bottom')).toEqual([1]);
	});
	it('ten more are there to be had by pouring', () => {
		const { start } = of('more');
		const level = start.chargeAh.map((q) => 60 - q);
		const vessels = level.reduce((v, ah, cell) => pour(v, cell, ah), start);
		expect(of('more').isSolved({ vessels, chosen: null }, 'LFP')).toBe(true);
	});
	it('the plateau deceives somewhere on the way', () => {
		const { start, isSolved } = of('deceit');
		const places = Array.from({ length: 60 }, (_, i) => run(start, i).vessels);
		expect(places.some((vessels) => isSolved({ vessels, chosen: null }, 'LFP'))).toBe(true);
		expect(apart(start, 'LFP').share).toBeCloseTo(0.2, 9);
	});
	it('emptied one by one they are empty together; emptied as a string they are not', () => {
		const { start, isSolved } = of('from-below');
		const string = run(start, -1e6).vessels;
		expect(isSolved({ vessels: string, chosen: null }, 'LFP')).toBe(false);
		const alone = start.chargeAh.reduce((v, q, cell) => pour(v, cell, -q), start);
		expect(isSolved({ vessels: alone, chosen: null }, 'LFP')).toBe(true);
	});
});
