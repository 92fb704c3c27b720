import type { Interval } from '../../foundation/statistics';
import { WHOLE_BANK, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** Difference between groups, as a fraction of the smallest, that deserves a look, and that should not be built (default). */
const LOOK_SPREAD = 0.02;
const STOP_SPREAD = 0.05;

/** What is known of a set of groups. */
export interface JudgedGroups {
	smallestGroupAh: number;
	spreadAh: number;
	/** In the middle of the groups; missing: nobody said. */
	middleAh?: number;
	/** Doubt of one group, one sd, Ah. */
	groupSdAh: number;
	/** What the smallest really holds. */
	smallestAh: Interval;
	/** How much more that is than in order of arrival. */
	gainAh: Interval;
	/** Smallest group of the cells taken as they came, Ah. */
	arrivalSmallestAh: number;
	/** Whether, and up to what, a search has proved these groups; null where nothing was searched. */
	proof: { proven: boolean; upperBoundAh: number } | null;
}

/**
 * What to think of a set of groups: how even it is, what matching gained, and how sure the arithmetic is.
 * @param subject the bank they are for
 */
export function judgeMatch(
	groups: JudgedGroups,
	ratedGroupAh: number | null,
	subject: Subject = WHOLE_BANK
): Verdict[] {
	const { smallestGroupAh, spreadAh, middleAh, groupSdAh, smallestAh, gainAh, arrivalSmallestAh, proof } = groups;
	const spread = spreadAh / smallestGroupAh;
	const facts = {
		spreadAh: measured(spreadAh, Math.SQRT2 * groupSdAh),
		smallestGroupAh: measured(smallestGroupAh, groupSdAh),
		smallestAh,
		lookBeyond: LOOK_SPREAD,
		stopBeyond: STOP_SPREAD
	};
	const gain = {
		gainAh,
		smallestGroupAh,
		arrivalSmallestAh,
		ratedGroupAh,
		proven: proof?.proven ?? false,
		upperBoundAh: proof?.upperBoundAh ?? null
	};
	const largestAh = smallestGroupAh + spreadAh;
	// What the others lack is what counts: a group above them only holds what nobody can use.
	const isSurplus =
		middleAh !== undefined && spread > LOOK_SPREAD && (middleAh - smallestGroupAh) / smallestGroupAh <= LOOK_SPREAD;
	if (isSurplus)
		return [
			say('match-surplus', 'calm', subject, {
				largestAh,
				middleAh,
				surplusAh: measured(largestAh - middleAh, Math.SQRT2 * groupSdAh),
				smallestAh,
				lookBeyond: LOOK_SPREAD
			}),
			say('match-gain', 'calm', subject, gain)
		];
	return [
		spread > STOP_SPREAD
			? say('match-too-uneven', 'stop', subject, facts)
			: spread > LOOK_SPREAD
				? say('match-uneven', 'look', subject, facts)
				: say('match-even', 'calm', subject, facts),
		say('match-gain', 'calm', subject, gain)
	];
}

/** That matching has to wait for measured cells; null when there are enough. */
export function tooFewCells(
	measuredCells: number,
	wanted: number,
	untested: number,
	subject: Subject = WHOLE_BANK
): Verdict | null {
	return measuredCells >= wanted
		? null
		: say('match-few', 'open', subject, { measured: measuredCells, wanted, untested });
}
