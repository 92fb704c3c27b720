import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../../foundation/statistics';
import { fadePosterior, type FadeDraws, type FadeObservation } from '../../foundation/fade';

const weightedMean = ({ terms, values, weight }: FadeDraws, name: FadeDraws['terms'][number]['name']) =>
	values[terms.findIndex((t) => t.name === name)]!.reduce((s, v, i) => s + v * weight[i]!, 0);
const truth = (age: number, efc: number) => 230 * (1.01 - 0.02 * Math.sqrt(age) - 5e-5 * efc);
const sixYears = (sdAh: number): FadeObservation[] =>
	[0, 1, 2, 3, 4, 5, 6].map((ageYears) => ({
		ageYears,
		efc: 120 * ageYears,
		capacityAh: truth(ageYears, 120 * ageYears),
		sdAh
	}));

describe('fade posterior', () => {
	it('without data is the truncated prior: a ~ N(0.015, 0.010) above 0 has mean 0.01639', () => {
		const draws = fadePosterior(230, []);
		// mean + sd·φ(1.5)/Φ(1.5) = 0.015 + 0.010 × 0.129518/0.933193
		expect(weightedMean(draws, 'calendar')).toBeCloseTo(0.015 + (0.01 * 0.129518) / 0.933193, 4);
		// b: 4e-5 + 2.5e-5 × φ(1.6)/Φ(1.6) = 4e-5 + 2.5e-5 × 0.110921/0.945201
		expect(weightedMean(draws, 'cycles')).toBeCloseTo(4e-5 + (2.5e-5 * 0.110921) / 0.945201, 6);
		expect(weightedMean(draws, 'level')).toBeCloseTo(1.02, 3);
	});
	it('agrees with brute-force importance sampling of the same model', () => {
		const observations = sixYears(4).slice(0, 4);
		const random = seededRandom(11);
		let total = 0;
		const sums = [0, 0, 0];
		for (let n = 0; n < 150_000; n++) {
			const q0 = normalDraw(random, 1.02, 0.03);
			const a = normalDraw(random, 0.015, 0.01);
			const b = normalDraw(random, 4e-5, 2.5e-5);
			if (a < 0 || b < 0) continue;
			const weight = Math.exp(
				-0.5 *
					observations.reduce(
						(s, o) => s + (((q0 - a * Math.sqrt(o.ageYears) - b * o.efc) * 230 - o.capacityAh) / o.sdAh) ** 2,
						0
					)
			);
			total += weight;
			[q0, a, b].forEach((v, i) => (sums[i]! += v * weight));
		}
		const draws = fadePosterior(230, observations);
		expect(weightedMean(draws, 'level')).toBeCloseTo(sums[0]! / total, 3);
		expect(weightedMean(draws, 'calendar')).toBeCloseTo(sums[1]! / total, 3);
		expect(weightedMean(draws, 'cycles') * 1e5).toBeCloseTo((sums[2]! / total) * 1e5, 1);
	});
});
