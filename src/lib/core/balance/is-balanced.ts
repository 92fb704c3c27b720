import { restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, requireFinite, requirePositive } from '../shared';
import { WHOLE_BANK, measured, say, type Subject, type Verdict } from '../verdicts';

export interface BalanceQuestion {
	chemistry: Chemistry;
	/** One voltage a group, position 1 first, all read within a minute. */
	groupVoltagesV: readonly number[];
	/** Amperes into the battery while they were read. */
	currentA: number;
	groupAh: number;
	meterSdV: number;
}

export interface BalanceAnswer {
	answer: 'balanced' | 'apart' | 'cannot-tell';
	/** Charge between the fullest and the emptiest group, Ah; null when it cannot be told. */
	apartAh: number | null;
	verdict: Verdict;
}

/** The curve tells charge apart where it is at least this steep, V per unit of SoC: a mV is then a tenth of a percent or less. */
const STEEP_V_PER_SOC = 0.6;
/** Apart by less than this share of a group's capacity counts as balanced at the top (default). */
const BALANCED_SHARE = 0.01;
/** Above this current the readings hold resistance as well as charge, in C. */
const LOADED_C_RATE = 0.06;

/**
 * "Is it balanced?" answered only from readings that can tell: every group on the steep top (or bottom) of the curve
 * and next to no current. From the plateau it refuses and says what to read instead.
 * @param subject the battery that was read
 * @throws CoreError `no-readings`, `not-a-number`
 */
export function isBalanced(question: BalanceQuestion, subject: Subject = WHOLE_BANK): BalanceAnswer {
	const { groupVoltagesV: volts, groupAh } = question;
	if (volts.length < 2)
		throw new CoreError(
			'no-readings',
			'groupVoltagesV',
			`groupVoltagesV requires two or more groups, got ${volts.length}`
		);
	volts.forEach((v, i) => requireFinite(v, `groupVoltagesV.${i}`));
	requirePositive(groupAh, 'groupAh');
	const curve = restVoltageCurve(question.chemistry);
	const spread = { spreadV: Math.max(...volts) - Math.min(...volts), groups: volts.length };
	const onPlateau = volts.filter((v) => curve.slopeAt(curve.xOf(v)) < STEEP_V_PER_SOC).length;
	if (Math.abs(question.currentA) > LOADED_C_RATE * groupAh)
		return refused(say('balance-loaded', 'open', subject, { ...spread, currentA: question.currentA }));
	if (onPlateau === volts.length) return refused(say('balance-plateau', 'open', subject, spread));
	if (onPlateau > 0) return refused(say('balance-partly', 'open', subject, { ...spread, onPlateau }));
	return told(
		question,
		volts.map((v) => curve.xOf(v)),
		spread.spreadV,
		subject
	);
}

const refused = (verdict: Verdict): BalanceAnswer => ({ answer: 'cannot-tell', apartAh: null, verdict });

function told(question: BalanceQuestion, socs: readonly number[], spreadV: number, subject: Subject): BalanceAnswer {
	const curve = restVoltageCurve(question.chemistry);
	const apart = Math.max(...socs) - Math.min(...socs);
	const apartAh = apart * question.groupAh;
	const flattest = Math.min(...socs.map((s) => curve.slopeAt(s)));
	const sdAh = ((Math.SQRT2 * question.meterSdV) / flattest) * question.groupAh;
	const balanced = apart <= BALANCED_SHARE;
	const end = socs[0]! > 0.5 ? 'top' : 'bottom';
	return {
		answer: balanced ? 'balanced' : 'apart',
		apartAh,
		verdict: say(balanced ? `balanced-${end}` : `apart-${end}`, balanced ? 'calm' : 'look', subject, {
			spreadV,
			apartAh: measured(apartAh, sdAh),
			balancedShare: BALANCED_SHARE
		})
	};
}
