import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { temperatureFactor } from '../../foundation/chemistry';
import { normalDraw, seededRandom } from '../../foundation/statistics';
import { judgeFade } from '.';
import {
	calendarFactor,
	endIfKept,
	fadeMeanwhile,
	fadePosterior,
	projectFade,
	narrowestInterval,
	weightedQuantiles,
	type FadeObservation
} from '../../foundation/fade';
const truth = (age: number, efc: number) => 230 * (1.01 - 0.02 * Math.sqrt(age) - 5e-5 * efc);
const sixYears = (sdAh: number): FadeObservation[] =>
	[0, 1, 2, 3, 4, 5, 6].map((ageYears) => ({
		ageYears,
		efc: 120 * ageYears,
		capacityAh: truth(ageYears, 120 * ageYears),
		sdAh
	}));

describe('fade projection', () => {
	it('finds the truth inside its band and narrows with better data', () => {
		const rough = projectFade({ ratedAh: 230, endFraction: 0.8, observations: sixYears(5), efcPerYear: 120 });
		const fine = projectFade({ ratedAh: 230, endFraction: 0.8, observations: sixYears(0.5), efcPerYear: 120 });
		for (const projection of [rough, fine])
			for (const p of projection.curve.filter((x) => x.ageYears <= 8)) {
				const actual = truth(p.ageYears, 120 * p.ageYears) / 230;
				expect(p.low95).toBeLessThanOrEqual(actual + 0.002);
				expect(p.high95).toBeGreaterThanOrEqual(actual - 0.002);
			}
		const width = (p: typeof rough) => p.endAgeYears.high95 - p.endAgeYears.low95;
		expect(width(fine)).toBeLessThan(width(rough) / 2);
		// 1.01 − 0.02·√t − 0.006·t = 0.8 at t = 21.0
		expect(fine.endAgeYears.low95).toBeLessThan(21);
		expect(fine.endAgeYears.high95).toBeGreaterThan(21);
		expect(fine.posterior.mostlyPrior).toBe(false);
	});
	it('says that one point is almost all prior', () => {
		const projection = projectFade({
			ratedAh: 230,
			endFraction: 0.8,
			observations: sixYears(3).slice(0, 1),
			efcPerYear: 120
		});
		expect(projection.posterior.mostlyPrior).toBe(true);
		expect(judgeFade(projection, 0.8, 0).doubt).toContain('typical of such cells');
	});
	it('always falls with age, mean within its band, end ages ordered', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						ageYears: fc.double({ min: 0, max: 15, noNaN: true }),
						efc: fc.double({ min: 0, max: 3000, noNaN: true }),
						capacityAh: fc.double({ min: 120, max: 260, noNaN: true }),
						sdAh: fc.double({ min: 1, max: 10, noNaN: true })
					}),
					{ maxLength: 6 }
				),
				fc.double({ min: 0, max: 400, noNaN: true }),
				(raw, efcPerYear) => {
					const ages = raw.map((o) => o.ageYears).sort((a, b) => a - b);
					const cycles = raw.map((o) => o.efc).sort((a, b) => a - b);
					const observations = raw.map((o, i) => ({ ...o, ageYears: ages[i]!, efc: cycles[i]! }));
					const { curve, endAgeYears, posterior } = projectFade({
						ratedAh: 230,
						endFraction: 0.7,
						observations,
						efcPerYear
					});
					curve.forEach((p, i) => {
						expect(Number.isFinite(p.mean) && p.low95 <= p.high95).toBe(true);
						// Where the tests leave the band, an exchange nobody wrote down may have lifted it.
						if (i > 0 && !posterior.misfit) expect(p.mean).toBeLessThanOrEqual(curve[i - 1]!.mean + 1e-9);
					});
					expect(endAgeYears.low95).toBeLessThanOrEqual(endAgeYears.median);
					expect(endAgeYears.median).toBeLessThanOrEqual(endAgeYears.high95);
				}
			),
			{
				numRuns: 40,
				examples: [
					// Two moments as close as can be written.
					[[{ ageYears: 5e-324, efc: 9e-16, capacityAh: 120, sdAh: 1 }], 0],
					// Second-hand: cycled far before the age is counted from, and past the end.
					[[{ ageYears: 0, efc: 714, capacityAh: 120, sdAh: 1 }], 1.5]
				]
			}
		);
	});
	it('of tests that fall ever faster says so, and its band holds them: 281 … 233 Ah over eight years, cycles not counted', () => {
		const years = [0, 1.6, 3.2, 4.8, 6.4, 8];
		const observations = [281, 277, 268, 258, 244, 233].map((capacityAh, i) => ({
			ageYears: years[i]!,
			efc: null,
			capacityAh,
			sdAh: 1.4
		}));
		const projection = projectFade({ ratedAh: 280, endFraction: 0.8, observations, efcPerYear: null });
		expect(projection.posterior.fallsFaster).toBeGreaterThan(0.75);
		// A parabola through the last three passes 224 Ah at about nine years.
		expect(projection.endAgeYears.low95).toBeLessThan(9.2);
		expect(projection.endAgeYears.high95).toBeLessThan(13);
		const at = projection.curve.reduce((a, b) => (Math.abs(b.ageYears - 8) < Math.abs(a.ageYears - 8) ? b : a));
		expect(at.low95).toBeLessThan(233 / 280 + 0.01);
		const verdict = judgeFade(projection, 0.8, 8);
		expect(verdict).toMatchObject({ code: 'fade-bend', warmth: 'look' });
		expect(verdict.next).toContain('half a year');
	});
	it('a cell exchanged after four years took its loss with it: 285 falls to 258, rises to 280, and does not go on falling so', () => {
		const observations = [0, 1, 2, 3, 4, 5, 6].map((ageYears, i) => ({
			ageYears,
			efc: 100 * ageYears,
			sdAh: 1.5,
			temperatureC: 25,
			capacityAh: [285, 278, 271, 265, 258, 280, 279][i]!
		}));
		const bank = { ratedAh: 280, endFraction: 0.8, observations, efcPerYear: 100 };
		const told = projectFade({ ...bank, exchangedAt: [4.5] });
		expect(told.posterior.misfit).toBe(false);
		// Of the sound groups: 285 to 279 in six years, 0.36 % a year, leaves 0.8 · 280 for after 20.
		expect(told.endAgeYears.median).toBeGreaterThan(20);
		const at = (age: number) => told.curve.find((p) => p.ageYears >= age)!.mean * 280;
		expect(at(4.3)).toBeLessThan(265);
		expect(at(4.5)).toBeGreaterThan(275);
		expect(projectFade(bank).posterior.misfit).toBe(true);
	});
	it('a test in the cold is brought to 25 °C: 265 Ah at 5 °C are no loss', () => {
		const at = (temperatureC: number | null) =>
			projectFade({
				ratedAh: 280,
				endFraction: 0.8,
				efcPerYear: 100,
				observations: [0, 1, 2].map((ageYears) => ({
					ageYears,
					efc: 100 * ageYears,
					sdAh: 1.5,
					capacityAh: ageYears === 2 ? 265 : 284,
					temperatureC: ageYears === 2 ? temperatureC : 25
				}))
			});
		const { factor } = temperatureFactor(5);
		expect(at(5).tests[2]!.fraction).toBeCloseTo((265 * factor) / 280, 9);
		expect(at(5).tests[2]!.fraction).toBeGreaterThan(0.98);
		expect(at(5).endAgeYears.median).toBeGreaterThan(at(25).endAgeYears.median + 5);
	});
	it('a bend that began is taken into the years to come: tests that lose 4 % a year after year four', () => {
		const observations = [0, 1, 2, 3, 4, 5, 6].map((ageYears) => ({
			ageYears,
			efc: 100 * ageYears,
			sdAh: 1.5,
			temperatureC: 25,
			capacityAh: 285 - 2 * ageYears - 11.2 * Math.max(0, ageYears - 4)
		}));
		const { posterior, endAgeYears } = projectFade({ ratedAh: 280, endFraction: 0.8, observations, efcPerYear: 100 });
		expect(posterior.fallsFaster).toBeGreaterThan(0.95);
		// 224 Ah by hand: 285 − 2·t − 11.2·(t − 4) at t = 8.0.
		expect(endAgeYears.low95).toBeLessThan(8);
		expect(endAgeYears.high95).toBeGreaterThan(8);
		expect(endAgeYears.high95).toBeLessThan(11);
	});
	it('the narrowest interval leaves out the long tail', () =>
		// Nine of ten lie in 1 to 9, the tenth far below.
		expect(
			narrowestInterval(Float64Array.of(-50, 1, 2, 3, 4, 5, 6, 7, 8, 9), new Float64Array(10).fill(0.1), 0.89)
		).toEqual([1, 9]));
	it('is not sure of what cycles nobody counted did: its band is wider than with none, and than with as many as usual', () => {
		const tests = sixYears(2).map((o) => ({ ...o, efc: null }));
		const width = (observations: typeof tests | FadeObservation[], efcPerYear: number | null) => {
			const { low95, high95 } = projectFade({ ratedAh: 230, endFraction: 0.8, observations, efcPerYear }).endAgeYears;
			return high95 - low95;
		};
		expect(width(tests, null)).toBeGreaterThan(width(sixYears(2), 120));
	});
	it('a sound history is no misfit, and the odd test out is named all the same', () => {
		const { posterior } = projectFade({ ratedAh: 230, endFraction: 0.8, observations: sixYears(2), efcPerYear: 120 });
		expect(posterior).toMatchObject({ misfit: false, noiseFactor: 1 });
		const odd = sixYears(2).map((o, i) => (i === 3 ? { ...o, capacityAh: o.capacityAh - 12 } : o));
		expect(projectFade({ ratedAh: 230, endFraction: 0.8, observations: odd, efcPerYear: 120 }).posterior).toMatchObject(
			{
				misfit: true,
				oddest: { ageYears: 3 }
			}
		);
	});
	it('a test known to a month only tells as much less as faded in a month: about 0.1 % of rated at four years', () => {
		// By hand: 0.015·(√4.0833 − √3.9167)/2 + 0.006·0.0833 = 0.00031 + 0.0005, over √3.
		expect(fadeMeanwhile(4, 1 / 12)).toBeCloseTo(0.00047, 5);
		expect(fadeMeanwhile(4, 0)).toBe(0);
		expect(fadeMeanwhile(0.02, 1)).toBe(fadeMeanwhile(0.02, 0.02));
	});
	it('the curve goes no further ahead than twice what was lived through, and says so of the end alone', () => {
		const { curve, endAgeYears } = projectFade({
			ratedAh: 280,
			endFraction: 0.6,
			observations: [0, 2, 4].map((ageYears) => ({ ageYears, efc: 50 * ageYears, capacityAh: 285 - ageYears, sdAh: 2 }))
		});
		expect(endAgeYears.median).toBeGreaterThan(20);
		expect(curve.at(-1)!.ageYears).toBe(12);
	});
	it('kept warmer or fuller it fades faster: twice per 12 K, 1/0.6 from half to nine tenths full', () => {
		expect(calendarFactor({ warmerK: 12 })).toBe(2);
		expect(calendarFactor({ warmerK: -12 })).toBe(0.5);
		expect(calendarFactor({ meanSoc: { now: 0.5, then: 0.9 } })).toBeCloseTo(1 / 0.6, 9);
		expect(calendarFactor({ meanSoc: { now: 0.9, then: 0.7 } })).toBeCloseTo(0.8, 9);
		expect(() => calendarFactor({ meanSoc: { now: 50, then: 0.9 } })).toThrow(/meanSoc.now/);
		const bank = {
			ratedAh: 280,
			endFraction: 0.8,
			observations: [0, 1, 3, 5].map((t) => ({
				ageYears: t,
				efc: 100 * t,
				capacityAh: 285 - 7 * Math.sqrt(t),
				sdAh: 1.5
			})),
			efcPerYear: 100
		};
		const { endAgeYears } = projectFade(bank);
		expect(endIfKept(bank, {})).toEqual(endAgeYears);
		const [warmer, colder] = [endIfKept(bank, { warmerK: 10 }), endIfKept(bank, { warmerK: -10 })];
		expect(warmer.median).toBeLessThan(endAgeYears.median);
		expect(colder.median).toBeGreaterThan(endAgeYears.median);
		expect(warmer.low95).toBeGreaterThan(5);
	});
	it('what has passed its end already is not brought back by the cold', () => {
		const worn = {
			ratedAh: 100,
			endFraction: 0.9,
			observations: [1, 4].map((t) => ({ ageYears: t, efc: 0, capacityAh: 95 - 4 * t, sdAh: 0.3 })),
			efcPerYear: 0
		};
		expect(endIfKept(worn, { warmerK: -20 }).median).toBeCloseTo(projectFade(worn).endAgeYears.median, 6);
	});
	it('refuses an end of 80 and an observation without doubt', () => {
		expect(() => projectFade({ ratedAh: 230, endFraction: 80, observations: [], efcPerYear: 100 })).toThrow(
			/between 0 and 1, got 80/
		);
		expect(() => fadePosterior(230, [{ ageYears: 1, efc: 1, capacityAh: 220, sdAh: 0 }])).toThrow(
			/observations\.0\.sdAh/
		);
	});
	it('takes weighted quantiles of unordered values', () =>
		expect(weightedQuantiles(Float64Array.of(3, 1, 2), Float64Array.of(0.2, 0.5, 0.3), [0.1, 0.6, 0.99])).toEqual([
			1, 2, 3
		]));
	it('takes the same quantiles as sorting everything does, ties and one single value included', () => {
		const random = seededRandom(5);
		for (const round of [1, 2, 3, 50]) {
			const values = Float64Array.from({ length: 600 }, () => Math.round(normalDraw(random, 3, 1) * 200) / round / 200);
			if (round === 50) values.fill(3.3);
			const weight = values.map(() => random());
			const total = weight.reduce((a, b) => a + b, 0);
			const shares = weight.map((w) => w / total);
			const sorted = [...values.keys()].sort((i, j) => values[i]! - values[j]!);
			const bySorting = [0.025, 0.5, 0.975].map((p) => {
				let sum = 0;
				return values[sorted.find((i) => (sum += shares[i]!) >= p)!];
			});
			expect(weightedQuantiles(values, shares, [0.025, 0.5, 0.975])).toEqual(bySorting);
		}
	});
	it('finds the end where cycles gathered unevenly, before and after the last test', () => {
		const observations = [0, 300, 900, 950].map((efc, ageYears) => ({
			ageYears,
			efc,
			capacityAh: truth(ageYears, efc),
			sdAh: 0.002
		}));
		// The truth, passed in the heavy second year (efc 300 + 600 a year) and long after (50 a year).
		const heavy = 1.01 - 0.02 * Math.sqrt(1.5) - 5e-5 * 600;
		const late = 1.01 - 0.02 * Math.sqrt(16) - 5e-5 * (950 + 13 * 50);
		for (const [endFraction, ageYears] of [
			[heavy, 1.5],
			[late, 16]
		]) {
			const { median } = projectFade({
				ratedAh: 230,
				endFraction: endFraction!,
				observations,
				efcPerYear: 50
			}).endAgeYears;
			expect(median).toBeCloseTo(ageYears!, 1);
		}
	});
});
