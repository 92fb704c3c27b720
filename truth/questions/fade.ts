import { projectFade, type FadeProjection } from '$lib/core/foundation/fade';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between } from '../world';

const END = 0.8;
const AHEAD_YEARS = 3;

/** Drawn until it is above 0. */
export const positiveDraw = (random: Random, mean: number, sd: number): number => {
	const drawn = normalDraw(random, mean, sd);
	return drawn > 0 ? drawn : positiveDraw(random, mean, sd);
};

/** What a projection says of three years on and of the end, against the course the battery will take. */
export function fadeAnswers(
	{ curve, endAgeYears }: FadeProjection,
	lastYears: number,
	truth: (years: number) => number,
	stratum?: string
): Answer[] {
	const age = lastYears + AHEAD_YEARS;
	const next = curve.findIndex((p) => p.ageYears >= age);
	const [p, q] = [curve[next - 1]!, curve[next]!];
	const share = (age - p.ageYears) / (q.ageYears - p.ageYears);
	const at = (x: number, y: number) => x + share * (y - x);
	let end = 0;
	for (let years = 0; years < 60; years += 0.05) if (truth(years) > END) end = years;
	return [
		{
			kind: 'interval',
			of: 'capacity three years on',
			stratum,
			low: at(p.low95, q.low95),
			high: at(p.high95, q.high95),
			truth: truth(age),
			scale: 1
		},
		{
			kind: 'interval',
			of: 'age at 80 % of rated, years',
			stratum,
			low: endAgeYears.low95,
			high: endAgeYears.high95 >= 59.9 ? Infinity : endAgeYears.high95,
			truth: end,
			scale: 1
		}
	];
}

/** Capacity tests of some years, and what they say of the years to come, of a battery that follows the usual law. */
export const fade: Question = {
	name: 'fade',
	costly: true,
	ask({ random, ratedAh }): Answer[] {
		const q0 = normalDraw(random, 1.02, 0.03);
		const a = positiveDraw(random, 0.015, 0.01);
		const b = positiveDraw(random, 4e-5, 2.5e-5);
		const efcPerYear = between(random, 40, 250);
		const truth = (years: number) => q0 - a * Math.sqrt(years) - b * efcPerYear * years;
		const tests = 2 + Math.floor(random() * 7);
		const sd = between(random, 0.005, 0.015);
		const observations = Array.from({ length: tests }, (_, i) => ({
			ageYears: i,
			efc: efcPerYear * i,
			capacityAh: ratedAh * (truth(i) + normalDraw(random, 0, sd)),
			sdAh: ratedAh * sd
		}));
		const projection = projectFade({ ratedAh, endFraction: END, observations, efcPerYear });
		return fadeAnswers(projection, tests - 1, truth);
	}
};
