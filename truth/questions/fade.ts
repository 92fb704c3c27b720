import { projectFade } from '$lib/core/service';
import { normalDraw } from '$lib/core/shared';
import type { Answer, Question } from '../answer';
import { between } from '../world';

const END = 0.8;
const AHEAD_YEARS = 3;
/** Share of batteries that fade faster late. */
const LATE_SHARE = 0.15;

/** Capacity tests of some years, and what they say of the years to come. Some worlds fade faster late, as no law foresees. */
export const fade: Question = {
	name: 'fade',
	ask({ random, ratedAh }): Answer[] {
		const above = (mean: number, sd: number): number => {
			const drawn = normalDraw(random, mean, sd);
			return drawn > 0 ? drawn : above(mean, sd);
		};
		const q0 = normalDraw(random, 1.02, 0.03);
		const a = above(0.015, 0.01);
		const b = above(4e-5, 2.5e-5);
		const late = random() > LATE_SHARE ? 0 : Math.abs(normalDraw(random, 0, 0.0015));
		const efcPerYear = between(random, 40, 250);
		const truth = (years: number) => q0 - a * Math.sqrt(years) - b * efcPerYear * years - late * years ** 2;
		const tests = 2 + Math.floor(random() * 7);
		const sd = between(random, 0.005, 0.015);
		const observations = Array.from({ length: tests }, (_, i) => ({
			ageYears: i,
			efc: efcPerYear * i,
			capacityAh: ratedAh * (truth(i) + normalDraw(random, 0, sd)),
			sdAh: ratedAh * sd
		}));
		const { curve, endAgeYears } = projectFade({ ratedAh, endFraction: END, observations, efcPerYear });
		const age = tests - 1 + AHEAD_YEARS;
		const next = curve.findIndex((p) => p.ageYears >= age);
		// Where no test foretells a late course, no honest band can hold it: told apart, so that neither hides the other.
		const where = late === 0 ? '' : ', of a battery that fades faster late';
		const answers: Answer[] = [];
		if (next > 0) {
			const [p, q] = [curve[next - 1]!, curve[next]!];
			const share = (age - p.ageYears) / (q.ageYears - p.ageYears);
			const at = (x: number, y: number) => x + share * (y - x);
			answers.push({
				kind: 'interval',
				of: `capacity three years on${where}`,
				low: at(p.low95, q.low95),
				high: at(p.high95, q.high95),
				truth: truth(age),
				scale: 1
			});
		}
		let end = 0;
		while (end < 60 && truth(end) > END) end += 0.05;
		answers.push({
			kind: 'interval',
			of: `age at 80 % of rated, years${where}`,
			low: endAgeYears.low95,
			high: endAgeYears.high95 >= 59.9 ? Infinity : endAgeYears.high95,
			truth: end,
			scale: 1
		});
		return answers;
	}
};
