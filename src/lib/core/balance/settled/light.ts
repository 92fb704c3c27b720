import { HYSTERESIS_V, socBounds, type Chemistry } from '../../foundation/chemistry';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { MIN_H } from './settled';

/** One look at a charger that has stopped by itself. */
export interface StoppedReading {
	readAt: string;
	supplyA: number;
	cellV: number | null;
	stopped: boolean | null;
}

/** Further below what it is set to at its own stop, it stopped for another reason, V (default). */
const EARLY_V = 0.06;
/** What a row that reads as sure as that holds is full, share. */
const FULL = 0.97;
/** Of the loop, after a charge. */
const CHARGED_SIDE = 0.4;

/**
 * What the light of a charger that shows no amperes proves: the meter at the cells at the light, and again after an hour and a day. Null
 * where none has stopped by itself.
 * @param row set voltage, capacity of the whole row
 */
export function judgeLight(
	readings: readonly StoppedReading[],
	row: { chemistry: Chemistry; setV: number; totalAh: number; meterSdV: number },
	subject: Subject
): Verdict | null {
	const at = readings.findIndex((r) => r.stopped === true);
	if (at < 0) return null;
	const light = readings[at]!;
	const hours = (r: StoppedReading) => (Date.parse(r.readAt) - Date.parse(light.readAt)) / 3_600_000;
	const wentOn = readings.slice(at + 1).some((r) => r.supplyA > 0);
	if (wentOn) return null;
	const last = readings.slice(at + 1).findLast((r) => r.cellV !== null && hours(r) >= MIN_H);
	if (!last) {
		if (light.cellV !== null && light.cellV < row.setV - EARLY_V)
			return say('charger-stopped-early', 'look', subject, { readV: light.cellV, setV: row.setV });
		return say('light-waits', 'open', subject, { lightAt: light.readAt, readV: light.cellV });
	}
	// Nothing flows, and it stands above what the charger was set to: no rest of these cells.
	if (last.cellV! > row.setV + EARLY_V)
		return say('light-above', 'look', subject, { readV: last.cellV!, setV: row.setV });
	// After a charge it is known on which side of its loop the cell stands.
	const restV = last.cellV! - CHARGED_SIDE * HYSTERESIS_V[row.chemistry];
	const { lowFraction, highFraction } = socBounds(row.chemistry, restV, row.meterSdV, 3600 * hours(last));
	const missing = (share: number) => Math.max(0, (1 - share) * row.totalAh);
	const facts = {
		readV: last.cellV!,
		hours: hours(last),
		missingAh: {
			low95: missing(highFraction),
			likely: missing((lowFraction + highFraction) / 2),
			high95: missing(lowFraction)
		}
	};
	if (lowFraction >= FULL) return say('light-full', 'calm', subject, facts);
	return highFraction < FULL ? say('light-short', 'look', subject, facts) : say('light-unsure', 'open', subject, facts);
}
