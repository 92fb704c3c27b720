import { requireFinite, requirePositive } from '../../foundation/errors';
import { measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

export interface BmsComparison {
	/** What the BMS and the voltmeter read of each group, group 1 first, V; `null` where one of them was not read. */
	bmsV: readonly (number | null)[];
	meterV: readonly (number | null)[];
	/** Of the difference between the two instruments where both are sound, one standard deviation, V. */
	differenceSdV: number;
}

/** A sound BMS's reading of a group, one sd, V (default). */
export const USUAL_BMS_SD_V = 0.002;
/** Off by this share of the group’s voltage it is the wiring. */
const LEADS_SHARE = 0.4;
/** Two neighbours off by more than this each, one up and one down by nearly the same, share a lead that is open or on the wrong node, V. */
const OPEN_LEAD_V = 0.15;
/** So nearly the same: their sum against their difference. */
const OPEN_LEAD_ALIKE = 0.2;
const Z95 = 1.96;

/**
 * Each BMS reading against the voltmeter on the same group.
 * @param groups the battery's groups as subjects, by position; @param subject the battery
 * @returns one verdict a group that differs, or that none does; empty when no group was read by both
 */
export function bmsVerdicts(
	{ bmsV, meterV, differenceSdV }: BmsComparison,
	groups: readonly Subject[],
	subject: Subject
): Verdict[] {
	requirePositive(differenceSdV, 'differenceSdV');
	const pairs = bmsV.flatMap((bms, i) => {
		const meter = meterV[i] ?? null;
		if (bms === null || meter === null) return [];
		return [{ i, bms: requireFinite(bms, `bmsV.${i}`), meter: requireFinite(meter, `meterV.${i}`) }];
	});
	if (pairs.length === 0) return [];
	const errorOf = ({ bms, meter }: (typeof pairs)[number]) => bms - meter;
	// A lead that sits between two nodes takes from one neighbour what it gives to the other: no two channels err so.
	const shared = pairs.flatMap((p) => {
		const next = pairs.find((q) => q.i === p.i + 1);
		return next &&
			Math.min(Math.abs(errorOf(p)), Math.abs(errorOf(next))) > OPEN_LEAD_V &&
			Math.abs(errorOf(p) + errorOf(next)) < OPEN_LEAD_ALIKE * Math.abs(errorOf(p) - errorOf(next))
			? [p, next]
			: [];
	});
	const unseen = pairs.filter((p) => shared.includes(p) || Math.abs(errorOf(p)) > LEADS_SHARE * Math.abs(p.meter));
	if (unseen.length)
		return [
			say(
				'bms-leads',
				'stop',
				subject,
				{ groups: unseen.map((p) => p.i + 1), bmsV: unseen.map((p) => p.bms) },
				unseen.flatMap((p) => groups[p.i] ?? [])
			)
		];
	const off = pairs.filter(({ bms, meter }) => Math.abs(bms - meter) > Z95 * differenceSdV);
	if (off.length)
		return off.map(({ i, bms, meter }) =>
			say('bms-misreads', 'look', groups[i] ?? subject, {
				errorV: measured(bms - meter, differenceSdV),
				bmsV: bms,
				meterV: meter
			})
		);
	const worst = pairs.reduce((a, b) => (Math.abs(b.bms - b.meter) > Math.abs(a.bms - a.meter) ? b : a));
	return [
		say('bms-agrees', 'calm', subject, {
			groups: pairs.length,
			worstV: worst.bms - worst.meter,
			sdV: differenceSdV
		})
	];
}
