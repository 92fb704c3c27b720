import type { Verdict } from '../shared';
import { HORIZON_YEARS, type FadeProjection } from './fade';

/** The projection in words: when the chosen end is passed, as a range, and how much of that is only the prior. */
export function judgeFade(projection: FadeProjection, endFraction: number, ageYears: number): Verdict {
	const { low95, median, high95 } = projection.endAgeYears;
	const years = (age: number) => (age >= HORIZON_YEARS ? `over ${HORIZON_YEARS}` : age.toFixed(1));
	const passed = median <= ageYears;
	return {
		code: passed ? 'fade-end' : projection.posterior.mostlyPrior ? 'fade-prior' : 'fade',
		warmth: passed ? 'look' : projection.posterior.mostlyPrior ? 'open' : 'calm',
		title: passed
			? `Capacity has probably passed ${Math.round(endFraction * 100)} % of rated`
			: `${Math.round(endFraction * 100)} % of rated at an age of ${years(low95)} to ${years(high95)} years`,
		finding: `Median ${years(median)} years; ${projection.posterior.observations} capacity test${projection.posterior.observations === 1 ? '' : 's'}.`,
		doubt: projection.posterior.mostlyPrior
			? 'Almost all of this is what is typical of such cells, not of yours: the tests are too few or too rough yet.'
			: '95 % range of the true capacity, not of a new reading.',
		rule: 'Capacity = q0 − a·√years − b·cycles, Bayesian, with priors typical of published ageing (default).',
		next: projection.posterior.mostlyPrior ? 'Test the capacity under the same conditions once a year.' : null,
		cellIds: []
	};
}
