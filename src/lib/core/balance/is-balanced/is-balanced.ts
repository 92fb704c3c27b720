import { restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import type { Interval } from '../../foundation/statistics';
import {
	LOADED_C_RATE,
	apartByPassings,
	narrowed,
	snapshotBounds,
	misread,
	whatWasRead,
	type Passings
} from '../../foundation/snapshot';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** The end a battery was balanced at: there its groups stand together. */
export type BalancedEnd = 'top' | 'bottom';

export interface BalanceQuestion {
	chemistry: Chemistry;
	/** As read, one a group (or unit), position 1 first, all within a minute. */
	groupVoltagesV: readonly number[];
	/** Amperes into the battery while they were read. */
	currentA: number;
	groupAh: number;
	/** One standard deviation of the meter at such a reading. */
	meterSdV: number;
	/** Cells in series each reading is over; 1 when missing. */
	cellsPerReading?: number;
	/** Of the log of the charge these readings end, where there is one. */
	passings?: Passings | null;
	/** Where it was balanced; missing or null when nobody knows. */
	balancedAt?: BalancedEnd | null;
}

export interface BalanceAnswer {
	answer: 'balanced' | 'apart' | 'cannot-tell';
	/** Charge between the fullest and the emptiest group, Ah; null when the readings bound nothing. */
	apartAh: Interval | null;
	verdict: Verdict;
}

/** The curve tells charge apart where it is at least this steep, V per unit of SoC. */
const STEEP_V_PER_SOC = 0.6;
/** Apart by no more than this share of a group's capacity counts as balanced (default). */
const BALANCED_SHARE = 0.01;

/**
 * "Is it balanced?" answered by the interval that the readings support: balanced when all of it lies within 1 % of a group's
 * capacity, apart when none of it does. What no group can have is named and not judged; the voltages of units of several cells tell
 * nothing of what is inside. At the bottom of a battery that was balanced at the top the groups part
 * by their capacities: no fault.
 * @param subject the battery that was read
 * @throws CoreError `no-readings`, `not-a-number`, `not-positive`
 */
export function isBalanced(question: BalanceQuestion, subject: Subject = WHOLE_BANK): BalanceAnswer {
	const { groupVoltagesV: volts, groupAh, chemistry, meterSdV, cellsPerReading = 1 } = question;
	if (volts.length < 2)
		throw new CoreError(
			'no-readings',
			'groupVoltagesV',
			`groupVoltagesV requires two or more groups, got ${volts.length}`
		);
	volts.forEach((v, i) => requireFinite(v, `groupVoltagesV.${i}`));
	requirePositive(groupAh, 'groupAh');
	requirePositive(cellsPerReading, 'cellsPerReading');
	requireNotNegative(meterSdV, 'meterSdV');
	requireFinite(question.currentA, 'currentA');
	const read = whatWasRead(volts, chemistry, cellsPerReading);
	if (read.kind !== 'groups') return { answer: 'cannot-tell', apartAh: null, verdict: misread(read, subject) };
	if (cellsPerReading > 1) return ofUnits(question, subject);
	const cellV = volts.map((v) => v / cellsPerReading);
	const { apartAh: readAh, soc } = snapshotBounds({
		...question,
		groupVoltagesV: cellV,
		meterSdV: meterSdV / cellsPerReading
	});
	const apartAh = narrowed(readAh, question.passings ? apartByPassings(question.passings) : null);
	return answered(question, cellV, apartAh, soc as number[], subject);
}

/**
 * A voltage over several cells bounds no cell inside: one full cell among eight at the plateau reads like eight that are a little higher
 * (models §9). Only the Ah counted between the units may be said.
 */
function ofUnits(
	{ groupVoltagesV: volts, groupAh, passings, cellsPerReading = 1 }: BalanceQuestion,
	subject: Subject
): BalanceAnswer {
	const countedAh = passings ? apartByPassings(passings) : null;
	const facts = {
		spreadV: Math.max(...volts) - Math.min(...volts),
		units: volts.length,
		cellsPerReading,
		apartAh: countedAh,
		limitAh: BALANCED_SHARE * groupAh
	};
	const isApart = countedAh !== null && countedAh.low95 > BALANCED_SHARE * groupAh;
	return {
		answer: isApart ? 'apart' : 'cannot-tell',
		apartAh: countedAh,
		verdict: say('balance-units', isApart ? 'look' : 'open', subject, facts)
	};
}

function answered(
	{ chemistry, currentA, groupAh, cellsPerReading = 1, balancedAt = null }: BalanceQuestion,
	cellV: readonly number[],
	apartAh: Interval,
	soc: readonly number[],
	subject: Subject
): BalanceAnswer {
	const curve = restVoltageCurve(chemistry);
	const onPlateau = cellV.filter((v) => curve.slopeAt(curve.xOf(v)) < STEEP_V_PER_SOC).length;
	const end: BalancedEnd = Math.min(...soc) < 1 - Math.max(...soc) ? 'bottom' : 'top';
	const limitAh = BALANCED_SHARE * groupAh;
	const facts = {
		spreadV: Math.max(...cellV) - Math.min(...cellV),
		groups: cellV.length,
		apartAh,
		balancedShare: BALANCED_SHARE,
		cellsPerReading,
		chemistry
	};
	const tell = (answer: BalanceAnswer['answer'], verdict: Verdict): BalanceAnswer => ({ answer, apartAh, verdict });
	if (end === 'bottom' && balancedAt === 'top' && onPlateau < cellV.length)
		return tell('cannot-tell', say('parted-at-bottom', 'calm', subject, facts));
	if (apartAh.low95 > limitAh) return tell('apart', say(`apart-${end}`, 'look', subject, facts));
	// Above this current resistances can make up for charge: nothing is called balanced.
	if (Math.abs(currentA) > LOADED_C_RATE * groupAh)
		return tell('cannot-tell', say('balance-loaded', 'open', subject, { ...facts, currentA }));
	if (apartAh.high95 <= limitAh) return tell('balanced', say(`balanced-${end}`, 'calm', subject, facts));
	if (onPlateau === cellV.length) return tell('cannot-tell', say('balance-plateau', 'open', subject, facts));
	if (onPlateau > 0) return tell('cannot-tell', say('balance-partly', 'open', subject, { ...facts, onPlateau }));
	return tell('cannot-tell', say('balance-unsure', 'open', subject, facts));
}
