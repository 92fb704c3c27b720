import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_LINK_OHM, checkJoin, checkJoining } from '../joining';
import {
	chargeAfter,
	estimateTopCharge,
	highestSetV,
	cellsJoinedBy,
	parallelBars,
	planTopBalance,
	type BalanceCell
} from '../../foundation/parallel-charge';
import type { Interval } from '../../foundation/statistics';
import { WHOLE_BANK } from '../../foundation/verdicts';

const charge = {
	chemistry: 'LFP' as const,
	totalAh: 824,
	cells: 4,
	setV: 3.65,
	supplyA: 20,
	leadOhm: 0.01,
	tailA: 4.12
};

describe('time of a parallel top balance', () => {
	it('four 206 Ah cells at 35 % on 20 A through 10 mΩ: about 28 h', () => {
		expect(Math.abs(estimateTopCharge(charge, 0.35).durationS / 3600 - 28)).toBeLessThan(1);
	});
	it('10 A through 50 mΩ: about 89 h and below 10 A from the first minute', () => {
		const slow = estimateTopCharge({ ...charge, supplyA: 10, leadOhm: 0.05, tailA: 0.5 }, 0.35);
		expect(Math.abs(slow.durationS / 3600 - 89)).toBeLessThan(5);
		expect(slow.startA).toBeLessThan(10);
		expect(slow.constantCurrentS).toBe(0);
	});
	it('takes longer from emptier, through worse leads, and with less current', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 0.8, noNaN: true }),
				fc.double({ min: 0.002, max: 0.01, noNaN: true }),
				(soc, leadOhm) => {
					const hours = (more: Partial<typeof charge>, from = soc) =>
						estimateTopCharge({ ...charge, leadOhm, ...more }, from).durationS;
					expect(hours({}, soc - 0.05)).toBeGreaterThan(hours({}));
					expect(hours({ leadOhm: leadOhm + 0.01 })).toBeGreaterThanOrEqual(hours({}) - 1);
					expect(hours({ supplyA: 15 })).toBeGreaterThan(hours({}));
				}
			),
			{ numRuns: 20 }
		);
	});
	it('refuses a set voltage above the limit', () =>
		expect(() => estimateTopCharge({ ...charge, setV: 3.8 }, 0.4)).toThrow(/at most 3\.65 V for LFP, got 3\.8 V/));
});

const cell = (id: number, more: Partial<BalanceCell> = {}): BalanceCell => ({
	id,
	label: `H-${id}`,
	capacityAh: 200,
	socLow: 0.4,
	socHigh: 0.6,
	restVoltageV: 3.294,
	resistanceMohm: 0.175,
	...more
});
const setup = { chemistry: 'LFP' as const, chargeLimitV: 3.65, chargeCRate: 0.5, supplyA: 30, leadOhm: 0.005 };

describe('balance plan', () => {
	it('gives charge as bounds: 4 × 200 Ah at 40 to 60 % need 320 to 480 Ah', () => {
		const plan = planTopBalance([cell(1), cell(2), cell(3), cell(4)], setup);
		expect(plan.toDeliverAh.low).toBeCloseTo(320, 9);
		expect(plan.toDeliverAh.high).toBeCloseTo(480, 9);
		expect(plan).toMatchObject({ barsNeeded: 6, setV: 3.6, setA: 30, tailA: 4 });
		expect(plan.durationS.low).toBeGreaterThan((320 / 30) * 3600 * 0.98);
		expect(plan.durationS.high).toBeGreaterThan(plan.durationS.low);
	});
	it('never sets more than the cells take', () =>
		expect(planTopBalance([cell(1)], { ...setup, supplyA: 500 }).setA).toBe(100));
	it('sets 3.60 V unless told, and less where the cells’ limit is near what meter and supply may be off', () => {
		const at = (more: Partial<typeof setup> & { setV?: number; voltageHalfWidthV?: number }) =>
			planTopBalance([cell(1)], { ...setup, ...more }).setV;
		expect(at({})).toBe(3.6);
		expect(at({ setV: 3.63 })).toBe(3.63);
		expect(at({ chargeLimitV: 3.6 })).toBeCloseTo(3.58, 9);
		expect(at({ voltageHalfWidthV: 0.08 })).toBeCloseTo(3.57, 9);
		expect(highestSetV({ chemistry: 'LFP', chargeLimitV: 3.8, voltageHalfWidthV: 0.01 })).toBeCloseTo(3.64, 9);
	});
	it('ends at 0.02 C of one cell, or 0.002 C for each of a long row', () => {
		const tailOf = (n: number) =>
			planTopBalance(
				Array.from({ length: n }, (_, i) => cell(i)),
				setup
			).tailA;
		expect([tailOf(1), tailOf(10), tailOf(16)]).toEqual([4, 4, 16 * 0.002 * 200]);
		// 100 cells would end at 40 A: a supply of 30 A has to fall to a quarter of it.
		expect(tailOf(100)).toBe(7.5);
	});
	it('counts bars, none for a single cell', () => expect([1, 2, 16].map(parallelBars)).toEqual([0, 2, 30]));
	it('joins no more cells than the bars there are reach', () => {
		for (const bars of [0, 1, 2, 3, 14, 29, 30]) {
			const cells = cellsJoinedBy(bars);
			expect(parallelBars(cells)).toBeLessThanOrEqual(bars);
			expect(parallelBars(cells + 1)).toBeGreaterThan(bars);
		}
	});
	it('asks for cells', () => expect(() => planTopBalance([], setup)).toThrow(/Match cells first/));
});

describe('how far a charge came', () => {
	it('of 800 Ah that lacked 320 to 480 Ah, 200 Ah in: 65 to 85 %', () =>
		expect(chargeAfter({ totalAh: 800, toDeliverAh: { low: 320, high: 480 } }, 200)).toEqual({
			low: 0.65,
			high: 0.85
		}));
	it('is never more than full', () =>
		expect(chargeAfter({ totalAh: 100, toDeliverAh: { low: 10, high: 90 } }, 95)).toEqual({ low: 1, high: 1 }));
});

describe('joining', () => {
	it('passes cells that rest alike', () =>
		expect(checkJoin([cell(1), cell(2, { restVoltageV: 3.296 })]).verdict.code).toBe('join-checked'));
	it('stops at a cell that read negative until its plus is recorded: joined by the print it is a short circuit', () => {
		const { peakA, verdict } = checkJoin([cell(1), cell(2, { polarityOpen: true })]);
		expect(peakA).toBeNull();
		expect(verdict).toMatchObject({ code: 'join-polarity', warmth: 'stop', members: [{ id: 2 }] });
	});
	it('refuses what may be above the limit, not only what most likely is', () => {
		const at = (restVoltageV: number) => checkJoin([cell(1), cell(2, { restVoltageV })]);
		const limitV = 3.294 + at(3.35).limitA * 0.00096;
		expect(at(limitV + 0.001).verdict.code).toBe('join-refused');
		const below = at(limitV - 0.004);
		expect(below.peakA).toBeLessThan(below.limitA);
		expect(below.verdict.code).toBe('join-refused');
	});
	it('tells a cell that rests above the others to be drawn down, not charged', () => {
		const high = checkJoin([
			cell(1, { restVoltageV: 3.1 }),
			cell(2, { restVoltageV: 3.1 }),
			cell(3, { restVoltageV: 3.45 })
		]);
		expect(high.verdict.next).toMatch(/^Discharge .*, or charge the others, until/);
		const low = checkJoin([
			cell(1, { restVoltageV: 3.45 }),
			cell(2, { restVoltageV: 3.45 }),
			cell(3, { restVoltageV: 3.1 })
		]);
		expect(low.verdict.next).toMatch(/^Charge .* on its own until/);
	});
	it('works the peak current by hand for two cells', () => {
		// 20 mV over 2 × (0.25 + 0.23) mΩ = 20.83 A, as the connection check tells it of the same cells
		const check = checkJoin([cell(1), cell(2, { restVoltageV: 3.314 })]);
		expect(check.peakA).toBeCloseTo(0.02 / 0.00096, 6);
		const item = (id: number, restVoltageV: number) => ({ id, restVoltageV, capacityAh: 200, resistanceOhm: 0.00025 });
		const asked = checkJoining(
			{ chemistry: 'LFP', linkOhm: USUAL_LINK_OHM, items: [item(1, 3.294), item(2, 3.314)] },
			WHOLE_BANK
		);
		const { low95, high95 } = check.verdict.facts.withinA as unknown as Interval;
		expect(check.peakA).toBeCloseTo(asked.peakA!.likely, 9);
		// What nobody measured of the bars makes it a little wider.
		expect(low95).toBeLessThan(asked.peakA!.likely);
		expect(high95).toBeGreaterThan(asked.peakA!.likely);
		expect(high95 - low95).toBeLessThan(1.8 * (asked.peakA!.high95 - asked.peakA!.low95));
	});
	it('refuses a full cell among empty ones and says how near it must come', () => {
		const check = checkJoin([
			cell(1, { restVoltageV: 3.1 }),
			cell(2, { restVoltageV: 3.1 }),
			cell(3, { restVoltageV: 3.45 })
		]);
		expect(check.verdict).toMatchObject({ code: 'join-refused', warmth: 'stop', subject: { kind: 'cell', id: 3 } });
		expect(check.verdict.next).toMatch(/within \d+ mV/);
	});
	it('does not judge an unread cell', () =>
		expect(checkJoin([cell(1), cell(2, { restVoltageV: null })]).verdict).toMatchObject({
			code: 'join-unknown',
			members: [{ kind: 'cell', id: 2 }]
		}));
});
