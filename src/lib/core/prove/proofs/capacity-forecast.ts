import { WHOLE_BANK, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

export interface CapacityForecast {
	/** A capacity test of the whole battery, Ah, with one sd. */
	testedAh: number;
	testedSdAh: number;
	/** Smallest group by matching, Ah, with one sd. */
	forecastAh: number;
	forecastSdAh: number;
}

/** So many sd apart is news (95 %). */
const Z95 = 1.96;

/** What a battery gave against what matching foretold: its smallest group, no more. @param subject the battery */
export function capacityForecastVerdict(
	{ testedAh, testedSdAh, forecastAh, forecastSdAh }: CapacityForecast,
	subject: Subject = WHOLE_BANK
): Verdict {
	const facts = { testedAh: measured(testedAh, testedSdAh), forecastAh: measured(forecastAh, forecastSdAh) };
	const doubt = Z95 * Math.hypot(testedSdAh, forecastSdAh);
	if (testedAh < forecastAh - doubt) return say('capacity-below-match', 'look', subject, facts);
	if (testedAh > forecastAh + doubt) return say('capacity-above-match', 'look', subject, facts);
	return say('capacity-as-matched', 'calm', subject, facts);
}
