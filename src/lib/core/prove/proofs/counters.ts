import { COULOMBIC, say } from '../verdicts';
import { CoreError, requirePositive } from '../../foundation/errors';
import { WHOLE_BANK, measured, type Subject, type Verdict } from '../../foundation/verdicts';

/** Two counters nobody has compared, one sd of their ratio (default: 0.5 % each), and doubt of the two ends being the same. */
const COUNTERS_SD = 0.007;
const ENDS_SD = 0.003;
const Z95 = 1.96;

/**
 * Ampere-hours that went in against those that came out between the same two ends of charge: what the load’s counter reads more than
 * the charger’s, as a share. @throws CoreError `not-positive`, `too-unlike` when the two cannot be of one charge
 */
export function counterVerdict(
	{ chargedAh, dischargedAh }: { chargedAh: number; dischargedAh: number },
	subject: Subject = WHOLE_BANK
): Verdict {
	requirePositive(chargedAh, 'chargedAh');
	requirePositive(dischargedAh, 'dischargedAh');
	const gain = dischargedAh / (chargedAh * COULOMBIC) - 1;
	if (Math.abs(gain) > 0.5)
		throw new CoreError(
			'too-unlike',
			'dischargedAh',
			`dischargedAh requires about what went in, ${chargedAh} Ah; got ${dischargedAh}. Were both counted between the same two ends?`
		);
	const facts = { chargedAh, dischargedAh, gain: measured(gain, Math.hypot(COUNTERS_SD, ENDS_SD)) };
	return Math.abs(gain) > Z95 * facts.gain.sd
		? say('counters-disagree', 'look', subject, facts)
		: say('counters-agree', 'calm', subject, facts);
}
