import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { HORIZON_YEARS, type FadeProjection } from '../../foundation/fade';

/** A fall that has become faster is told from this chance on. */
const PROBABLY = 0.5;

/**
 * The projection as a verdict: when the chosen end is passed, as a range, and how much of that is only the prior.
 * @param subject the battery that was tested
 */
export function judgeFade(
	projection: FadeProjection,
	endFraction: number,
	ageYears: number,
	subject: Subject = WHOLE_BANK
): Verdict {
	const { low95, median, high95 } = projection.endAgeYears;
	const { mostlyPrior, observations, misfit, oddest, fallsFaster } = projection.posterior;
	const facts = {
		endFraction,
		low95,
		medianYears: median,
		high95,
		horizonYears: HORIZON_YEARS,
		tests: observations,
		mostlyPrior,
		fallsFaster,
		oddAgeYears: misfit ? (oddest?.ageYears ?? null) : null
	};
	if (median <= ageYears) return say('fade-end', 'look', subject, facts);
	if (fallsFaster >= PROBABLY) return say('fade-bend', 'look', subject, facts);
	if (misfit) return say('fade-misfit', 'look', subject, facts);
	return mostlyPrior ? say('fade-prior', 'open', subject, facts) : say('fade', 'calm', subject, facts);
}
