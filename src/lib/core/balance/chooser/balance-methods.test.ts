import { describe, expect, it } from 'vitest';
import { HINDRANCE_WORDS, compareMethods, methodWords, type AtHand } from '.';
import { METHODS_TO_CHOOSE, type ChosenMethod } from '../../picture';

const atHand: AtHand = {
	cells: 16,
	series: 8,
	capacityAh: 280,
	soc: 0.5,
	apart: 0.05,
	cellSupplyA: 30,
	stringSupplyA: 40,
	loadA: 20,
	bars: 16,
	hasBms: true,
	balancerA: 2,
	balancerHoursADay: 1,
	attendedHoursADay: 8,
	days: null,
	livesAt: 'top'
};
const of = (method: ChosenMethod, more: Partial<AtHand> = {}) =>
	compareMethods({ ...atHand, ...more }).find((p) => p.method === method)!;

describe('the schools of balancing', () => {
	it('top by hand: 16 × 140 Ah at 30 A, and the taper', () => expect(of('top').hours).toBeCloseTo(2240 / 30 + 3, 9));
	it('a charge that is on only while somebody is there takes its days by the calendar; a balancer works by itself', () => {
		// By hand: 77.7 h at 8 h a day are nine days and 5.7 h, and so is what is told of the least and the most.
		expect(of('top', { unattended: false }).days).toBeCloseTo(9 + (2240 / 30 + 3 - 72) / 24, 9);
		expect(of('top', { unattended: false }).hoursWithin!.high).toBeCloseTo(9 * 24 + 2240 / 30 + 3 - 72, 9);
		expect(of('balancer', { unattended: false }).days).toBe(of('balancer').days);
	});
	it('fast is faster than top, and asks for more of one’s hands', () => {
		expect(of('fast').hours!).toBeLessThan(of('top').hours! / 2);
		expect(of('fast').attendedHours).toBeGreaterThan(2 * 16 * 0.1);
	});
	it('a balancer needs Ah apart by Ah a day: 14 Ah at 2 A for an hour are a week', () => {
		expect(of('balancer').days).toBeCloseTo(7, 9);
		expect(of('balancer', { balancerA: 0.05 }).hindrances).toContain('never-catches-up');
		expect(of('balancer', { balancerA: 0.05 }).hours).toBeNull();
	});
	it('takes as long as the charge they may hold says', () => {
		const { hours, hoursWithin } = of('top', { socLow: 0, socHigh: 0.9 });
		expect(hours).toBe(of('top').hours);
		expect(hoursWithin).toEqual({ low: of('top', { soc: 0.9 }).hours, high: of('top', { soc: 0 }).hours });
		// Emptied by a load it is the other way round.
		const emptied = of('bottom', { socLow: 0, socHigh: 0.9 }).hoursWithin!;
		expect(emptied.high).toBe(of('bottom', { soc: 0.9 }).hours);
		expect(of('top').hoursWithin).toEqual({ low: of('top').hours, high: of('top').hours });
		expect(of('balancer', { balancerA: 0.05 }).hoursWithin).toBeNull();
	});
	it('bars for half of them make two sets', () =>
		expect(of('top', { bars: 8 }).hours! - of('top').hours!).toBeCloseTo(3, 9));
	it.each([
		['top', { cellSupplyA: 0 }, 'no-cell-supply'],
		['top', { bars: 1 }, 'no-bars'],
		['top', { livesAt: 'bottom' }, 'other-end'],
		['top', { days: 2 }, 'takes-too-long'],
		['fast', { hasBms: false }, 'no-bms'],
		['fast', { stringSupplyA: 0 }, 'no-string-supply'],
		['bottom', { loadA: 0 }, 'no-load'],
		['bottom', { livesAt: 'top' }, 'other-end'],
		['bottom', { attendedHoursADay: 2, livesAt: 'bottom' }, 'nobody-there'],
		['balancer', { balancerA: 0 }, 'no-balancer'],
		['none', { apart: null }, 'stays-apart']
	] as const)('%s with %j: %s', (method, more, hindrance) => expect(of(method, more).hindrances).toContain(hindrance));
	it('what fits comes first; cells that are known to be alike need nothing', () => {
		expect(compareMethods({ ...atHand, apart: 0.005 })[0]!.method).toBe('none');
		const first = compareMethods({ ...atHand, balancerA: 0 })[0]!;
		expect(first.hindrances).toEqual([]);
		expect(['top', 'fast']).toContain(first.method);
		expect(compareMethods({ ...atHand, livesAt: 'bottom', balancerA: 0, attendedHoursADay: 10 })[0]!.method).toBe(
			'bottom'
		);
	});
	it('every school and every hindrance has its words', () => {
		for (const method of METHODS_TO_CHOOSE)
			expect(Object.values(methodWords(2.75)[method]).every((text) => text.length > 5)).toBe(true);
		expect(Object.values(HINDRANCE_WORDS).every((text) => text.length > 5)).toBe(true);
	});
	it('refuses no cells and no hours', () => {
		expect(() => compareMethods({ ...atHand, cells: 0 })).toThrow(/cells/);
		expect(() => compareMethods({ ...atHand, attendedHoursADay: 0 })).toThrow(/attendedHoursADay/);
		expect(() => compareMethods({ ...atHand, loadA: -1 })).toThrow(/loadA/);
	});
});
