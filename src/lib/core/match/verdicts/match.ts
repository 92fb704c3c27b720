import { BUILD_LIMITS } from './bounds';
import { shareWords, verdict, rangeWords, type Measured, type Said } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface MatchGainFacts {
	/** Of what the smallest group really holds. */
	gainAh: Interval;
	smallestGroupAh: number;
	arrivalSmallestAh: number;
	ratedGroupAh: number | null;
	/** It was proven that no other choice has a larger smallest group. */
	proven: boolean;
	/** A bound that was computed; null where none was. */
	upperBoundAh: number | null;
}

interface EvennessFacts {
	spreadAh: Measured;
	smallestGroupAh: Measured;
	/** What the smallest group really holds: of many that read alike, less than any reads. */
	smallestAh: Interval;
	lookBeyond: number;
	stopBeyond: number;
}

const evenness =
	(title: string, uneven: boolean) =>
	({ facts }: Said<EvennessFacts>) => ({
		title,
		finding: `The groups differ by ${facts.spreadAh.value.toFixed(1)} Ah, ${((100 * facts.spreadAh.value) / facts.smallestGroupAh.value).toFixed(1)} % of the smallest.`,
		doubt: `95 %: the smallest of them really holds ${facts.smallestAh.low95.toFixed(1)} to ${facts.smallestAh.high95.toFixed(1)} Ah, as the cells are known.`,
		rule: `Look above ${shareWords(facts.lookBeyond)}, do not build above ${shareWords(facts.stopBeyond)} (default). The battery gives at most its smallest group.`,
		next: uneven ? 'Replace or retest the cells of the smallest group.' : null
	});

/** `2.1 to 6.0 Ah`; `little` where it may as well be a loss. */
const gainWords = (gainAh: Interval) => (gainAh.low95 < 0 ? 'little' : rangeWords(gainAh, 'Ah'));

type MatchRefusal =
	'stopped' | 'used-untested' | 'chemistry' | 'terminals' | 'grade' | 'age' | 'capacity-spread' | 'resistance-spread';

/** Why not, each with what was found; the same words wherever groups are refused. */
const REFUSAL_WORDS: Record<MatchRefusal, (found: string) => string> = {
	stopped: (found) => `${found} must not be used`,
	'used-untested': (found) => `${found}: used cells that nobody has tested`,
	chemistry: (found) => `cells of another chemistry (${found})`,
	terminals: (found) => `different terminals (${found})`,
	grade: (found) => `different grades (${found})`,
	age: (found) => `made ${found} apart`,
	'capacity-spread': (found) => `groups ${found} of the smallest apart in capacity`,
	'resistance-spread': (found) => `resistance up to ${found} that of the least`
};

/** All of them in a sentence. */
export function refusalWords(refusals: readonly { why: MatchRefusal; found: string }[]): string {
	const words = refusals.map((r) => REFUSAL_WORDS[r.why](r.found)).join('; ');
	return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}

function proofOf({ proven, upperBoundAh }: MatchGainFacts) {
	const luck = '95 %: what reads best was chosen, and the luck in its readings is taken out.';
	if (proven)
		return { doubt: luck, rule: 'Proven: no other choice of these cells has a larger smallest group as read.' };
	return upperBoundAh === null
		? {
				doubt: `${luck} Whether other groups would give more was not searched.`,
				rule: 'These groups against the order of arrival.'
			}
		: {
				doubt: `${luck} Best found; a larger smallest group than ${upperBoundAh.toFixed(2)} Ah is impossible.`,
				rule: 'Time ran out before the proof was complete.'
			};
}

export const GROUP_VERDICTS = {
	'match-refused': verdict<{
		refusals: readonly { why: MatchRefusal; found: string }[];
		despite: string | null;
	}>()({
		means: 'A battery whose cells should not be in series; `despite`: why it is built all the same.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		remedy: { to: 'match', text: 'Exchange them' },
		words: ({ facts: { refusals, despite } }) => ({
			title: despite ? 'Built all the same' : 'These should not be in series',
			finding: `${refusalWords(refusals)}${despite ? ` “${despite}”` : ''}`,
			doubt: null,
			rule: `One chemistry, grade, age (${BUILD_LIMITS.ageMonths} months) and kind of terminal; groups within ${shareWords(BUILD_LIMITS.groupSpread)} of the smallest, resistance within ${BUILD_LIMITS.resistanceFactor} times (defaults); no open stop, no untested used cell.`,
			next: despite ? null : 'Exchange those cells, or match again and write why it is built all the same.'
		})
	}),
	'match-too-uneven': verdict<EvennessFacts>()({
		means: 'Groups that differ so much that they should not be put in series.',
		urgencies: ['stop'],
		follows: ['smallestAh'],
		remedy: { to: 'match', text: 'Match again' },
		words: evenness('These groups should not be put in series', true)
	}),
	'match-uneven': verdict<EvennessFacts>()({
		means: 'Groups that differ more than they should.',
		urgencies: ['look'],
		follows: ['smallestAh'],
		words: evenness('The groups differ more than they should', true)
	}),
	'match-surplus': verdict<{
		largestAh: number;
		middleAh: number;
		surplusAh: Measured;
		smallestAh: Interval;
		lookBeyond: number;
	}>()({
		means: 'The groups are alike but for larger ones.',
		urgencies: ['calm'],
		calm: 'note',
		follows: ['smallestAh'],
		words: ({ facts: { largestAh, middleAh, surplusAh, smallestAh, lookBeyond } }) => ({
			title: 'The groups are even but for a larger one',
			finding: `The largest holds ${largestAh.toFixed(1)} Ah, the others about ${middleAh.toFixed(1)} Ah: ${surplusAh.value.toFixed(1)} Ah of it cannot be used.`,
			doubt: `95 %: the smallest of them really holds ${smallestAh.low95.toFixed(1)} to ${smallestAh.high95.toFixed(1)} Ah, as the cells are known.`,
			rule: `The battery gives at most its smallest group; here no group is more than ${shareWords(lookBeyond)} below the middle of them.`,
			next: 'Build them as they are. A cell of the others’ size in its place would leave the larger one free for another use.'
		})
	}),
	'match-even': verdict<EvennessFacts>()({
		means: 'Groups alike.',
		urgencies: ['calm'],
		calm: 'ok',
		follows: ['smallestAh'],
		words: evenness('The groups are even', false)
	}),
	'match-gain': verdict<MatchGainFacts>()({
		means: 'What the arrangement gives over the order of arrival, and whether more is possible.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts }) => ({
			title:
				facts.gainAh.high95 < 0
					? 'These groups give less than the order of arrival'
					: `Matching gains ${gainWords(facts.gainAh)} over the order of arrival`,
			finding: `${facts.gainAh.low95 < 0 ? `Really ${rangeWords(facts.gainAh, 'Ah')} more. ` : ''}As read: smallest group ${facts.smallestGroupAh.toFixed(1)} Ah against ${facts.arrivalSmallestAh.toFixed(1)} Ah${facts.ratedGroupAh === null ? '' : `; rated ${facts.ratedGroupAh} Ah`}.`,
			...proofOf(facts),
			next: null
		})
	}),
	'match-resistive': verdict<{ mostShare: number; spares: readonly string[] }>()({
		means: 'Cells with too much resistance are built in although sound ones are at hand.',
		urgencies: ['look'],
		words: ({ facts: { mostShare, spares }, members }) => ({
			title: `${members.length === 1 ? members[0]!.label : `${members.length} cells`} built in with too much resistance`,
			finding: `${(mostShare * 100).toFixed(0)} % more than the others; ${spares.join(', ')} ${spares.length === 1 ? 'is' : 'are'} at hand and sound.`,
			doubt: 'Capacity alone does not show it: it warms more, meets both limits first under load, and ages ahead.',
			rule: 'A cell out of line in resistance is left out while enough others are there.',
			next: 'Match again: the search leaves it out.'
		})
	}),
	'match-few': verdict<{ measured: number; wanted: number; untested: number }>()({
		means: 'Fewer measured cells than the layout needs.',
		urgencies: ['open'],
		words: ({ facts: { measured, wanted, untested } }) => ({
			title: `${measured} of ${wanted} cells have a capacity`,
			finding: `${untested} cells are not tested.`,
			doubt: null,
			rule: 'Only measured cells are matched.',
			next: untested > 0 ? 'Test the others first.' : 'Unpack more cells, or plan a smaller bank.'
		})
	}),
	'match-waiting': verdict<{ measured: number; wanted: number }>()({
		means: 'Enough cells are measured and none are placed.',
		urgencies: ['open'],
		words: ({ facts: { measured, wanted } }) => ({
			title: 'The cells have no places yet',
			finding: `${measured} cells are measured, ${wanted} are needed.`,
			doubt: null,
			rule: 'Every cell gets a group before the battery is balanced as one.',
			next: 'Match the cells and accept the groups.'
		})
	}),
	'match-partly': verdict<{ placed: number; wanted: number }>()({
		means: 'Some places are filled and others are not.',
		urgencies: ['look'],
		words: ({ facts: { placed, wanted } }) => ({
			title: 'Not every place is filled',
			finding: `${placed} of ${wanted} places hold a cell.`,
			doubt: null,
			rule: 'A group gives what its cells give together: one that is short of a cell is the smallest.',
			next: 'Place the others, or plan the bank as it is built.'
		})
	})
};
