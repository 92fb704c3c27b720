import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../foundation/statistics';
import { MONTH_OF_DAY } from '../sun';
import { clearnessDraws } from './clearness';
import { CHARGE_EFFICIENCY, yearOfUse, type YearInput } from '.';

const ALWAYS = Array.from({ length: 24 }, (_, h) => h);
const cabin: YearInput = {
	latitudeDeg: 48,
	fields: [{ w: 600, tiltDeg: 50, azimuthDeg: 180 }],
	airC: Array<number>(12).fill(12),
	loads: [{ w: 40, hours: ALWAYS }],
	battery: { chemistry: 'LFP', usableWh: 5000, maxChargeW: 2000 },
	years: 8
};

describe('weather', () => {
	it('keeps the mean of each month, and goes on from day to day, in some years for long', () => {
		const means = [0.3, 0.4, 0.5, 0.55, 0.6, 0.7, 0.8, 0.7, 0.6, 0.5, 0.35, 0.2];
		const draw = clearnessDraws(means, seededRandom(5));
		const [sums, days] = [Array<number>(12).fill(0), Array<number>(12).fill(0)];
		let [both, squares] = [0, 0];
		for (let y = 0; y < 400; y++) {
			const year = draw();
			year.forEach((clear, day) => {
				const month = MONTH_OF_DAY[day]!;
				sums[month]! += clear;
				days[month]!++;
				expect(clear).toBeGreaterThanOrEqual(0);
				expect(clear).toBeLessThanOrEqual(1);
				if (month === 5 && day > 0 && MONTH_OF_DAY[day - 1] === 5) {
					both += (clear - 0.7) * (year[day - 1]! - 0.7);
					squares += (clear - 0.7) ** 2;
				}
			});
		}
		sums.forEach((sum, m) => expect(sum / days[m]!).toBeCloseTo(means[m]!, 1.7));
		// Memory between 0.2 and 0.9 of a normal law, 0.55 on the mean; a little less of what the law is bent to.
		expect(both / squares).toBeGreaterThan(0.4);
		expect(both / squares).toBeLessThan(0.6);
	});
	it('where it is always clear, or always dark, there is no weather', () => {
		expect([...clearnessDraws(Array<number>(12).fill(1), seededRandom(1))()].every((c) => c === 1)).toBe(true);
		expect([...clearnessDraws(Array<number>(12).fill(0.05), seededRandom(1))()].every((c) => c === 0.05)).toBe(true);
	});
});

describe('a year of use', () => {
	it('without panels everything is missing once the first charge is gone, and every day ends empty', () => {
		const year = yearOfUse({ ...cabin, fields: [] });
		expect(year.daysEmptyShare).toEqual({ low95: 1, likely: 1, high95: 1 });
		expect(year.kwhMissing).toBeCloseTo((40 * 8760) / 1000, 9);
		expect(year.efcPerYear).toBe(0);
		expect(year.hoursEmpty).toBe(8760);
	});
	it('what runs on one day of the week is wanted 52 or 53 times a year', () => {
		const onSundays = { ...cabin, loads: [{ w: 100, hours: [12], days: [7] }] };
		expect(yearOfUse(onSundays).kwhWanted).toBeCloseTo(5.2, 9);
		// The year drawn begins on a Monday, and so ends on one.
		expect(yearOfUse({ ...cabin, loads: [{ w: 100, hours: [12], days: [1] }] }).kwhWanted).toBeCloseTo(5.3, 9);
		expect(() => yearOfUse({ ...cabin, loads: [{ w: 1, hours: [1], days: [0] }] })).toThrow(/loads.0.days.0/);
	});
	it('without loads it stands full, never empty', () => {
		const year = yearOfUse({ ...cabin, loads: [] });
		expect(year).toMatchObject({ kwhMissing: 0, efcPerYear: 0, hoursFull: 8760, hoursEmpty: 0, kwhWanted: 0 });
	});
	it('a source by the clock counts by hand: 480 W at noon for a load of 19 W all day, which is 0.95 of it', () => {
		// In: 480 − 19 = 461 W in one hour, 437.95 Wh kept; out: 23 hours of 19 W, 437 Wh. It fills up day by day.
		const year = yearOfUse({
			...cabin,
			fields: [],
			loads: [{ w: 19, hours: ALWAYS }],
			sources: [{ w: 480, hours: [12] }],
			years: 2
		});
		expect(CHARGE_EFFICIENCY.LFP).toBe(0.95);
		expect(year.kwhMissing).toBe(0);
		expect(year.efcPerYear).toBeCloseTo((365 * 23 * 19) / 5000, 6);
		const lacking = yearOfUse({
			...cabin,
			fields: [],
			loads: [{ w: 20, hours: ALWAYS }],
			sources: [{ w: 480, hours: [12] }],
			years: 2
		});
		// 460 W · 0.95 = 437 Wh kept for 460 Wh wanted: 23 Wh a day missing, and every day ends… with what is left for the night.
		expect(lacking.kwhMissing).toBeCloseTo((365 * 23) / 1000, 6);
	});
	it('takes the inverter, its idle draw and standby, and leaves what runs on DC alone', () => {
		const year = yearOfUse({
			...cabin,
			loads: [
				{ w: 45, hours: [20, 21], months: [7] },
				{ w: 12, hours: ALWAYS, dc: true }
			],
			inverter: { efficiency: 0.9, idleW: 8 },
			standbyW: 2
		});
		expect(year.kwhWanted * 1000).toBeCloseTo((45 / 0.9) * 2 * 31 + (12 + 8 + 2) * 8760, 6);
	});
	it('a generator comes on when it is low, and nothing is missing', () => {
		const year = yearOfUse({ ...cabin, fields: [], generator: { w: 1500, startSoc: 0.2, stopSoc: 0.8 } });
		expect(year.kwhMissing).toBe(0);
		expect(year.daysEmptyShare.high95).toBe(0);
		// 350.4 kWh a year, 40 W of it while it runs; the rest through the battery at 95 %.
		expect(year.generatorHours).toBeGreaterThan(245);
		expect(year.generatorHours).toBeLessThan(285);
	});
	it('counts the months that are too cold to charge, and charges nothing then', () => {
		const airC = [-5, 12, 12, 12, 12, 12, 12, 12, 12, 12, 12, 12];
		const cold = yearOfUse({ ...cabin, airC });
		expect(cold.hoursTooCold).toBe(31 * 24);
		expect(cold.kwhMissing).toBeGreaterThan(yearOfUse(cabin).kwhMissing);
		const heated = yearOfUse({ ...cabin, airC, battery: { ...cabin.battery, cellC: Array<number>(12).fill(8) } });
		expect(heated.hoursTooCold).toBe(0);
	});
	it('draws the same years from the same seed, others from another', () => {
		expect(yearOfUse({ ...cabin, years: 3 })).toEqual(yearOfUse({ ...cabin, years: 3, seed: 1 }));
		expect(yearOfUse({ ...cabin, years: 3, seed: 2 }).kwhMissing).not.toBe(
			yearOfUse({ ...cabin, years: 3 }).kwhMissing
		);
	});
	it('is less sure of a place that is only known by its latitude than of one whose sun hours are given', () => {
		const plan = { ...cabin, years: 60 };
		const usual = yearOfUse(plan);
		const own = yearOfUse({ ...plan, sunHours: usual.sunHours });
		expect(usual.isUsualSun && !own.isUsualSun).toBe(true);
		const width = ({ daysEmptyShare: { low95, high95 } }: typeof own) => high95 - low95;
		expect(width(usual)).toBeGreaterThan(1.2 * width(own));
	});
	it('refuses more sun than a clear sky has, and says which month', () => {
		const sunHours = [1, 1.5, 2.5, 3.5, 4.5, 5, 5, 4.2, 3, 2, 1, 6];
		expect(() => yearOfUse({ ...cabin, sunHours })).toThrow(/sunHours.11 requires at most 1\.\d+ kWh/);
	});
	it.each([
		[{ latitudeDeg: 95 }, /latitudeDeg/],
		[{ sunHours: [1, 2] }, /12 values/],
		[{ loads: [{ w: 10, hours: [24] }] }, /loads.0.hours.0/],
		[{ loads: [{ w: 10, hours: [1], months: [0] }] }, /months.0/],
		[{ inverter: { efficiency: 90, idleW: 1 } }, /efficiency/],
		[{ battery: { chemistry: 'LFP' as const, usableWh: 0, maxChargeW: 1 } }, /usableWh/],
		[{ generator: { w: 100, startSoc: 0.8, stopSoc: 0.2 } }, /stopSoc/],
		[{ years: 0 }, /years/]
	])('refuses %j', (more, message) => expect(() => yearOfUse({ ...cabin, ...more })).toThrow(message));
	it('no energy is made or lost, and more panels never leave more days empty', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -70, max: 70, noNaN: true }),
				fc.integer({ min: 0, max: 2000 }),
				fc.integer({ min: 5, max: 300 }),
				fc.integer({ min: 500, max: 20000 }),
				fc.integer({ min: 0, max: 3000 }),
				(latitudeDeg, w, load, usableWh, maxChargeW) => {
					const plan = (panels: number): YearInput => ({
						...cabin,
						latitudeDeg,
						fields: [{ w: panels, tiltDeg: 30, azimuthDeg: 180 }],
						loads: [{ w: load, hours: [6, 7, 18, 19, 20] }],
						battery: { chemistry: 'LFP', usableWh, maxChargeW },
						years: 2
					});
					const [less, more] = [yearOfUse(plan(w)), yearOfUse(plan(2 * w + 100))];
					expect(less.balanceResidual).toBeLessThan(1e-6);
					expect(more.kwhMissing).toBeLessThanOrEqual(less.kwhMissing + 1e-9);
					expect(less.daysEmptyShare.low95).toBeLessThanOrEqual(less.daysEmptyShare.high95);
					for (const { low, middle, high } of less.bandByDay) {
						expect(low).toBeGreaterThanOrEqual(0);
						expect(low).toBeLessThanOrEqual(middle);
						expect(middle).toBeLessThanOrEqual(high);
						expect(high).toBeLessThanOrEqual(1);
					}
				}
			),
			{ numRuns: 12 }
		);
	});
});
