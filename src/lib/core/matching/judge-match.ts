import type { Verdict } from '../shared';
import type { MatchResult } from './match-cells';

/** Difference between groups, as a fraction of the smallest, that deserves a look, and that should not be built (default). */
const LOOK_SPREAD = 0.02;
const STOP_SPREAD = 0.05;

/** What to think of a set of groups: how even it is, what matching gained, and how sure the arithmetic is. */
export function judgeMatch(result: MatchResult, ratedGroupAh: number | null): Verdict[] {
	const spread = result.spreadAh / result.smallestGroupAh;
	const gainAh = result.smallestGroupAh - result.arrivalOrder.smallestGroupAh;
	const base = { cellIds: [] as number[] };
	const evenness: Verdict = {
		...base,
		code: spread > STOP_SPREAD ? 'match-too-uneven' : spread > LOOK_SPREAD ? 'match-uneven' : 'match-even',
		warmth: spread > STOP_SPREAD ? 'stop' : spread > LOOK_SPREAD ? 'look' : 'calm',
		title:
			spread > STOP_SPREAD
				? 'These groups should not be put in series'
				: spread > LOOK_SPREAD
					? 'The groups differ more than they should'
					: 'The groups are even',
		finding: `The groups differ by ${result.spreadAh.toFixed(1)} Ah, ${(spread * 100).toFixed(1)} % of the smallest.`,
		doubt: `At the 5 % quantile the smallest group holds ${result.smallestGroupP05Ah.toFixed(1)} Ah.`,
		rule: `Look above ${LOOK_SPREAD * 100} %, do not build above ${STOP_SPREAD * 100} % (default). The battery gives at most its smallest group.`,
		next: spread > LOOK_SPREAD ? 'Replace or retest the cells of the smallest group.' : null
	};
	const gained: Verdict = {
		...base,
		code: 'match-gain',
		warmth: 'calm',
		title: `Matching gains ${gainAh.toFixed(1)} Ah over the order of arrival`,
		finding: `Smallest group ${result.smallestGroupAh.toFixed(1)} Ah against ${result.arrivalOrder.smallestGroupAh.toFixed(1)} Ah${ratedGroupAh === null ? '' : `; rated ${ratedGroupAh} Ah`}.`,
		doubt: result.proven
			? null
			: `Best found; a larger smallest group than ${result.upperBoundAh.toFixed(2)} Ah is impossible.`,
		rule: result.proven
			? 'Proven: no other choice of these cells has a larger smallest group.'
			: 'Time ran out before the proof was complete.',
		next: null
	};
	return [evenness, gained];
}

/** That matching has to wait for measured cells; null when there are enough. */
export function tooFewCells(measured: number, wanted: number, untested: number): Verdict | null {
	if (measured >= wanted) return null;
	return {
		code: 'match-few',
		warmth: 'open',
		title: `${measured} of ${wanted} cells have a capacity`,
		finding: `${untested} cells are not tested.`,
		doubt: null,
		rule: 'Only measured cells are matched.',
		next: untested > 0 ? 'Test the others first.' : 'Unpack more cells, or plan a smaller bank.',
		cellIds: []
	};
}
