import { CHEMISTRY_FIGURES, mostOfOneCellV, type Chemistry } from '../../foundation/chemistry';
import { measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** Below these shares of the discharge limit a cell is not for a bank, and is never charged (LFP: 2.0 and 1.0 V). */
const RUINED = 0.8;
const DEAD = 0.4;
/** A deep-discharged cell is brought back to this multiple of it at most, where its maker allows (LFP: 3.0 V; models §16). */
const RECOVERY = 1.2;

/**
 * What a rest voltage outside the limits of its chemistry says: below them the depth of it, above them an overcharged cell, or no reading of
 * one cell at all. Null within them. @param restVoltageV magnitude, of one cell @param sdV one standard deviation
 * @param touched it has been charged, discharged or put to work since it came: it did not arrive so
 */
export function outsideLimits(
	chemistry: Chemistry,
	restVoltageV: number,
	sdV: number,
	subject: Subject,
	touched = false
): Verdict | null {
	const { dischargeLimitV, plausibleRestV } = CHEMISTRY_FIGURES[chemistry];
	const read = measured(restVoltageV, sdV);
	if (restVoltageV < dischargeLimitV) {
		const level =
			restVoltageV < dischargeLimitV * DEAD ? 'dead' : restVoltageV < dischargeLimitV * RUINED ? 'ruined' : 'low';
		return say('deep-discharged', 'stop', subject, {
			restVoltageV: read,
			limitV: dischargeLimitV,
			recoveryV: dischargeLimitV * RECOVERY,
			chemistry,
			level,
			touched
		});
	}
	const mostV = mostOfOneCellV(chemistry);
	if (restVoltageV > mostV) return say('not-one-cell', 'look', subject, { restVoltageV: read, mostV, chemistry });
	if (restVoltageV > plausibleRestV[1])
		return say('overcharged', 'stop', subject, { restVoltageV: read, limitV: plausibleRestV[1], chemistry });
	return null;
}
