import { describe, expect, it } from 'vitest';
import { buildCalendar } from '../calendar';
import { costOf, differences, lineCents, nextBreak, unitCentsAt } from '../money';
import { planLift } from '../layouts';

describe('handling and money', () => {
	it('23 kg one person, 40 kg two, beyond that a hoist; slings at 60° hang 0.87 of the span above', () => {
		const lift = (massKg: number, people = 2) => planLift({ massKg, people, footprintM2: 0.2, spanMm: 600 });
		expect(lift(23)).toMatchObject({ by: 'alone', canLift: true, lotsForPeople: 1 });
		expect(lift(39)).toMatchObject({ by: 'two', canLift: true, floorKgPerM2: expect.closeTo(195, 9) });
		expect(lift(39, 1)).toMatchObject({ canLift: false, lotsForPeople: 2 });
		expect(lift(90)).toMatchObject({ by: 'hoist', canLift: false, slingHeightMm: expect.closeTo(519.6, 1) });
	});
	const items = [
		{ name: 'cells', quantity: 8, unitCents: 9050, shippingCents: 4000, used: false },
		{ name: 'BMS', quantity: 1, unitCents: 12_000, shippingCents: 0, used: false }
	];
	it('costs by hand: 884.00 in all, 123.33 a kWh by rating, and over its life in a band that holds the likeliest', () => {
		const cost = costOf(items, {
			nominalWh: 7168,
			usableWh: 5734.4,
			efcPerYear: 100,
			yearsToEnd: { low95: 10, likely: 20, high95: 40 }
		});
		expect(cost.totalCents).toBe(88_400);
		expect(cost.perKwhNominal).toBeCloseTo(123.33, 2);
		// 5.7344 kWh · 100 · 20 · 0.95 · 0.9 = 9805.8 kWh.
		expect(cost.perKwhDelivered!.likely).toBeCloseTo(884 / 9805.8, 5);
		expect(cost.perKwhDelivered!.low95).toBeLessThan(cost.perKwhDelivered!.high95);
		expect(costOf(items, { nominalWh: null, usableWh: null, efcPerYear: null, yearsToEnd: null })).toMatchObject({
			perKwhNominal: null,
			perKwhDelivered: null
		});
	});
	it('explains the difference between two lists line by line, largest first', () =>
		expect(
			differences(items, [
				{ ...items[0]!, quantity: 9 },
				{ ...items[1]!, name: 'other BMS' }
			]).map((d) => [d.name, d.afterCents - d.beforeCents])
		).toEqual([
			['BMS', -12_000],
			['other BMS', 12_000],
			['cells', 9050]
		]));
});

describe('the calendar', () => {
	const DAY = 86_400_000;
	const plan = {
		startMs: 0,
		cells: 16,
		ratedAh: 280,
		cellLeadDays: 40,
		partLeadDays: 10,
		testers: 2,
		testA: 20,
		balanceDays: 5,
		hoursADay: 8
	};
	it('by hand: 8 rounds of 31 h on two testers are 10.3 days; nothing else holds it up', () => {
		const { steps, endMs } = buildCalendar(plan);
		const took = (step: string) => steps.filter((s) => s.step === step).map((s) => (s.endMs - s.startMs) / DAY)[0];
		expect(took('test')).toBeCloseTo((8 * 31) / 24, 9);
		expect(took('inspect')).toBeCloseTo((16 * 0.15) / 8, 9);
		expect(endMs / DAY).toBeCloseTo(40 + 0.3 + 1 + 248 / 24 + 5 + 1.2 + 0.5, 6);
		// 16 cells: 2.4 h to inspect, 9.6 h to build in, 4 h to prove; half a year to stand.
		expect(buildCalendar(plan)).toMatchObject({ handsH: expect.closeTo(16, 9), standUntilMs: 220 * DAY });
		expect(steps.filter((s) => s.critical).map((s) => s.step)).toContain('test');
	});
	it('parts that come late hold up the build, and the cells are then not critical', () => {
		const { steps, orderPartsByMs } = buildCalendar({ ...plan, partLeadDays: 90 });
		expect(steps.find((s) => s.step === 'build')!.startMs).toBe(90 * DAY);
		expect(steps.find((s) => s.step === 'test')!.critical).toBe(false);
		expect(orderPartsByMs).toBeLessThan(0);
	});
	it('goes on from what really happened', () => {
		const { steps, claimUntilMs } = buildCalendar({ ...plan, done: { order: 0, arrive: 50 * DAY } });
		expect(steps.find((s) => s.step === 'inspect')!.startMs).toBe(50 * DAY);
		expect(claimUntilMs).toBe(64 * DAY);
		expect(steps.find((s) => s.step === 'arrive')).toMatchObject({ isDone: true, critical: false });
	});
});

describe('what is bought by the dozen', () => {
	const cell = { name: 'Cell', quantity: 18, unitCents: 9000, shippingCents: 0, used: false };
	const breaks = [
		{ from: 20, unitCents: 7900 },
		{ from: 8, unitCents: 8800 }
	];

	it('costs what the highest start that is reached says, whatever the order of the breaks', () => {
		expect(unitCentsAt({ ...cell, breaks })).toBe(8800);
		expect(lineCents({ ...cell, breaks })).toBe(158_400);
		expect(unitCentsAt({ ...cell, quantity: 20, breaks })).toBe(7900);
		expect(unitCentsAt({ ...cell, quantity: 3, breaks })).toBe(9000);
	});

	it('names the quantity that costs less than what is wanted, and none where none does', () => {
		// 20 × 79 = 1580 against 18 × 88 = 1584.
		expect(nextBreak({ ...cell, breaks })).toEqual({ quantity: 20, savesCents: 400 });
		expect(nextBreak({ ...cell, quantity: 10, breaks })).toBeNull();
		expect(nextBreak(cell)).toBeNull();
	});
});

describe('testers by night', () => {
	const base = {
		startMs: 0,
		cells: 4,
		ratedAh: 100,
		cellLeadDays: 0,
		partLeadDays: 0,
		testers: 1,
		testA: 20,
		balanceDays: 0,
		hoursADay: 24
	};

	it('wait as long as half the night, as often as they end in it', () => {
		const awake = buildCalendar({ ...base, wakingH: 24 });
		const asleep = buildCalendar({ ...base, wakingH: 16 });
		// 8 h of sleep: one end in three falls into it and waits 4 h, 4/3 h a cell.
		expect((asleep.endMs - awake.endMs) / 3_600_000).toBeCloseTo((4 * 4) / 3, 6);
		expect(buildCalendar(base).endMs).toBe(awake.endMs);
	});
});
