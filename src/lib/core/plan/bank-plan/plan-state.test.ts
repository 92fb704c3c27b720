import { describe, expect, it } from 'vitest';
import { yearOfUse } from '../use-year';
import { WHOLE_BANK } from '../../foundation/verdicts';
import { NO_PLAN, judgeBankPlan, judgeYear, plannedYear, planState, type BankPlan } from '.';
import { nominalClassV } from '../loads';

const layout = { chemistry: 'LFP' as const, series: 8, parallel: 1, batteries: 1 };
const cell = { ratedAh: 230, massKg: 4.1, widthMm: 174, thicknessMm: 54, heightMm: 207, chargeCRate: 0.5 };
const lamp = { name: 'Lamp', w: 100, count: 1, share: 1, hours: [18, 19], months: null, surgeW: null, dc: true };
const NOW_MS = Date.UTC(2026, 10, 26);
const stateOf = (plan: Partial<BankPlan>) => planState({ ...NO_PLAN, ...plan }, layout, cell, { nowMs: NOW_MS });
const codesOf = (plan: Partial<BankPlan>) => {
	const whole = { ...NO_PLAN, ...plan };
	return judgeBankPlan(whole, stateOf(plan), 24, WHOLE_BANK, NOW_MS).map((v) => v.code);
};

describe('what follows from a plan', () => {
	it('by hand: 230 Ah at 25.6 V, four fifths used, for 200 Wh and 3 W of standby a day', () => {
		const state = stateOf({ loads: [lamp] });
		expect(state.nominalWh).toBeCloseTo(5888, 6);
		expect(state.usableWh).toBeCloseTo(4710.4, 6);
		expect(state.daysAlone).toBeCloseTo(4710.4 / 272, 6);
		expect(state.batteryKg).toBeCloseTo(8 * 4.1 * 1.15, 6);
	});
	it('without a cell type nothing is claimed of energy, mass, box and days', () => {
		const state = planState({ ...NO_PLAN, loads: [lamp] }, layout, null, { nowMs: NOW_MS });
		expect(state).toMatchObject({
			usableWh: null,
			daysAlone: null,
			batteryKg: null,
			arrangements: null,
			calendar: null,
			firstCharge: null
		});
		expect(state.load.peakW).toBe(103);
	});
	it('begins its calendar at the day of the order, and goes on from what has happened', () => {
		const whole = { ...NO_PLAN, orderOn: '2026-12-01', cellLeadDays: 40 };
		const arrived = Date.UTC(2027, 1, 1);
		const state = planState(whole, layout, cell, { nowMs: NOW_MS, done: { order: NOW_MS, arrive: arrived } });
		expect(state.calendar!.steps.find((s) => s.step === 'inspect')!.startMs).toBe(arrived);
		expect(stateOf(whole).calendar!.steps[0]!.startMs).toBe(Date.UTC(2026, 11, 1));
	});
	it('asks for a year only where the place and the cells are known', () => {
		const asked = (plan: Partial<BankPlan>) => plannedYear({ ...NO_PLAN, ...plan }, layout, stateOf(plan));
		expect(asked({})).toBeNull();
		expect(asked({ latitudeDeg: 52, boxWarmC: 6 })).toMatchObject({
			battery: { usableWh: expect.closeTo(4710.4, 6), cellC: Array<number>(12).fill(6) }
		});
	});
	it('knows the class of a voltage', () =>
		expect([12.8, 25.6, 51.2, 48, 14.6, 22.2].map(nominalClassV)).toEqual([12, 24, 48, 48, 12, 24]));
});

describe('what is said of a plan', () => {
	it('nothing while nothing is written', () => expect(codesOf({})).toEqual([]));
	it('a day without sun that takes more than there is', () => {
		expect(codesOf({ loads: [{ ...lamp, w: 3000 }] })).toEqual(['plan-short-energy']);
		expect(codesOf({ loads: [lamp] })).toEqual(['plan-energy']);
	});
	it('parts that must be ordered this week', () =>
		expect(codesOf({ orderOn: '2026-10-01', partLeadDays: 30, cellLeadDays: 30 })).toEqual(['calendar-order']));
	it('a year that is hardly ever empty is calm, one that is names its darkest month', () => {
		const year = (w: number) =>
			judgeYear(
				yearOfUse({
					latitudeDeg: 50,
					fields: [{ w, tiltDeg: 60, azimuthDeg: 180 }],
					years: 10,
					airC: Array<number>(12).fill(10),
					loads: [{ w: 30, hours: [18, 19, 20, 21] }],
					battery: { chemistry: 'LFP', usableWh: 3000, maxChargeW: 1500 }
				})
			);
		expect(year(3000)).toMatchObject({ code: 'year-holds', warmth: 'calm' });
		const dark = year(30);
		expect(dark).toMatchObject({ code: 'year-dark', warmth: 'look' });
		expect(dark.finding).toMatch(/^In (December|January)/);
		expect(dark.doubt).toContain('your own sun hours narrow it');
	});
});
