import { projectFade } from '$lib/core/foundation/fade';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, oneOf } from '../world';
import { fadeAnswers, positiveDraw } from './fade';

const STRATA = ['a bend before the last test', 'a cell exchanged', 'seasons', 'two ways of use, uncounted'] as const;

/** As the years of a battery, where something happened to it that its law does not know. */
export const fadeElsewhere: Question = {
	name: 'fade elsewhere',
	costly: true,
	ask({ random, ratedAh }): Answer[] {
		const stratum = oneOf(random, STRATA);
		const q0 = normalDraw(random, 1.02, 0.03);
		const a = positiveDraw(random, 0.015, 0.01);
		const b = positiveDraw(random, 4e-5, 2.5e-5);
		const tests = 4 + Math.floor(random() * 5);
		const last = tests - 1;
		const sd = between(random, 0.005, 0.015);
		// It bends one to three years before the last test.
		const bend =
			stratum === STRATA[0] ? { from: last - between(random, 1, 3), perYear: between(random, 0.01, 0.06) } : null;
		// One group falls behind, until its cell is exchanged between two tests.
		const exchange = stratum === STRATA[1] ? { at: between(random, 1, last), lost: between(random, 0.02, 0.12) } : null;
		const season = stratum === STRATA[2] ? 0.015 : 0;
		const phase = random() * 2 * Math.PI;
		const before = between(random, 40, 250);
		const uncounted = stratum === STRATA[3];
		const after = uncounted ? Math.min(400, before * Math.exp(between(random, -1, 1))) : before;
		const changed = uncounted ? between(random, 0.2, 0.8) * last : Infinity;
		const efc = (years: number) => before * Math.min(years, changed) + after * Math.max(0, years - changed);
		const truth = (years: number) =>
			q0 -
			a * Math.sqrt(years) -
			b * efc(years) -
			(bend ? bend.perYear * Math.max(0, years - bend.from) : 0) -
			(exchange && years < exchange.at ? (exchange.lost * years) / exchange.at : 0);
		const observations = Array.from({ length: tests }, (_, i) => {
			const ageYears = i === 0 ? 0 : i + between(random, -0.4, 0.4);
			const moved = 1 + season * Math.sin(2 * Math.PI * ageYears + phase);
			return {
				ageYears,
				efc: uncounted ? null : efc(ageYears),
				capacityAh: ratedAh * moved * (truth(ageYears) + normalDraw(random, 0, sd)),
				sdAh: ratedAh * sd,
				temperatureC: stratum === STRATA[2] ? null : 25
			};
		});
		const projection = projectFade({
			ratedAh,
			endFraction: 0.8,
			observations,
			efcPerYear: uncounted ? null : after,
			exchangedAt: exchange ? [exchange.at] : []
		});
		return fadeAnswers(projection, observations.at(-1)!.ageYears, truth, stratum);
	}
};
