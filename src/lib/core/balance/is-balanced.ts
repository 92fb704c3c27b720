import { restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, requireFinite, requirePositive, type Verdict } from '../shared';

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
 * @throws CoreError `no-readings`, `not-a-number`
 */
export function isBalanced(question: BalanceQuestion): BalanceAnswer {
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
	const spreadMv = Math.round((Math.max(...volts) - Math.min(...volts)) * 1000);
	const steep = volts.filter((v) => curve.slopeAt(curve.xOf(v)) >= STEEP_V_PER_SOC);
	if (Math.abs(question.currentA) > LOADED_C_RATE * groupAh)
		return refuse(
			'loaded',
			`${spreadMv} mV apart at ${question.currentA.toFixed(0)} A`,
			'Under current, joints and resistance look like charge.',
			'Wait until the current is below the tail, then read again.'
		);
	if (steep.length === 0)
		return refuse(
			'plateau',
			`${spreadMv} mV apart, every group on the plateau`,
			'There, groups a third apart in charge read alike within a few millivolts.',
			'Charge until the first group passes 3.45 V, let the current fall to the tail, and read all groups then.'
		);
	if (steep.length < volts.length)
		return refuse(
			'partly',
			`${spreadMv} mV apart; ${volts.length - steep.length} of ${volts.length} groups still on the plateau`,
			'They are certainly apart if this is the end of a charge, but by how much cannot be told.',
			'Go on charging at a few amperes; watch the highest group, and read again when all are above 3.40 V.'
		);
	return measured(
		question,
		volts.map((v) => curve.xOf(v)),
		spreadMv
	);
}

function refuse(code: string, finding: string, rule: string, next: string): BalanceAnswer {
	return {
		answer: 'cannot-tell',
		apartAh: null,
		verdict: {
			code: `balance-${code}`,
			warmth: 'open',
			title: 'These readings cannot tell',
			finding: `${finding}.`,
			doubt: 'Any answer from here would be a guess.',
			rule,
			next,
			cellIds: []
		}
	};
}

function measured(question: BalanceQuestion, socs: readonly number[], spreadMv: number): BalanceAnswer {
	const curve = restVoltageCurve(question.chemistry);
	const apart = Math.max(...socs) - Math.min(...socs);
	const apartAh = apart * question.groupAh;
	const flattest = Math.min(...socs.map((s) => curve.slopeAt(s)));
	const sdAh = ((Math.SQRT2 * question.meterSdV) / flattest) * question.groupAh;
	const balanced = apart <= BALANCED_SHARE;
	const end = socs[0] > 0.5 ? 'top' : 'bottom';
	return {
		answer: balanced ? 'balanced' : 'apart',
		apartAh,
		verdict: {
			code: balanced ? `balanced-${end}` : `apart-${end}`,
			warmth: balanced ? 'calm' : 'look',
			title: balanced ? `Balanced at the ${end}` : `Apart by ${apartAh.toFixed(1)} Ah at the ${end}`,
			finding: `${spreadMv} mV between highest and lowest, ${apartAh.toFixed(2)} Ah on this part of the curve.`,
			doubt: `± ${sdAh.toFixed(2)} Ah from the meter.${end === 'bottom' ? ' It says nothing about the top.' : ' At the bottom the groups will part again by their difference in capacity.'}`,
			rule: `Balanced when the groups are within ${BALANCED_SHARE * 100} % of capacity (default).`,
			next: balanced ? null : 'Balance again, or let the BMS work near full and read again in a week.',
			cellIds: []
		}
	};
}
