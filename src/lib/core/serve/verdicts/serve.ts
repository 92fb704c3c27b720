import { GROWS, MIN_SHARE_A_CHECK, WORN_CELLS_SD } from './bounds';
import { shareWords, verdict, rangeWords, type Measured, type Said } from '../../foundation/verdicts';
import { formatYears } from '../../foundation/units';
import type { Interval } from '../../foundation/statistics';

interface DriftFacts {
	/** Charge of the group against the mean of the others, Ah. */
	driftAh: Interval;
	limitAh: number;
	/** Limit as a share of a group. */
	limitShare: number;
	end: 'top' | 'bottom';
	/** Position of the group furthest from the others. */
	group: number;
	/** Ah were counted between the groups’ passings of this voltage in the charge before; null: no log. */
	countedAtV: number | null;
	/** Day of an earlier check whose count is carried over; null: none was. */
	learntOn: string | null;
}

interface FadeFacts {
	endFraction: number;
	/** Age at which the end is passed, years; `horizon` and beyond is not told. */
	low95: number;
	medianYears: number;
	high95: number;
	horizonYears: number;
	tests: number;
	mostlyPrior: boolean;
	/** Chance that it falls faster by now than in its earlier years. */
	fallsFaster: number;
	/** Age of the test that fits least, where the tests left the band of the law; null where they did not. */
	oddAgeYears: number | null;
}

const drift =
	(kind: 'none' | 'sure' | 'unsure') =>
	({ facts, subject }: Said<DriftFacts>) => {
		const { driftAh, limitAh, limitShare, end, group, countedAtV, learntOn } = facts;
		const label = subject.kind === 'group' ? subject.label : `Group ${group}`;
		const [low, high] = [driftAh.low95, driftAh.high95];
		const way = driftAh.likely < 0 ? 'behind' : 'ahead';
		const away = high < 0 ? { low95: -high, high95: -low } : { low95: low, high95: high };
		const both = low < 0 && high > 0;
		const range = both
			? `between ${(-low).toFixed(1)} Ah behind and ${high.toFixed(1)} Ah ahead of`
			: `${rangeWords(away, 'Ah')} ${way === 'ahead' ? 'ahead of' : 'behind'}`;
		return {
			title:
				kind === 'none'
					? `The groups are together at the ${end}`
					: kind === 'sure'
						? `${label} is at least ${away.low95.toFixed(1)} Ah ${way} at the ${end}`
						: `${label} may be apart at the ${end}`,
			finding: `Group ${group} is ${range} the mean of the others, likeliest ${Math.abs(driftAh.likely).toFixed(1)} Ah ${way}.`,
			doubt: `95 %, from ${countedAtV === null && learntOn !== null ? `the count of ${learntOn} and how the groups have moved since: what curve and hysteresis get wrong is the same both times` : countedAtV === null ? 'meter, joints, hysteresis and the curve itself' : `the Ah counted between the groups’ passings of ${countedAtV.toFixed(2)} V in that charge; a balancer of much more than 0.1 A at work then moves more`}${kind === 'unsure' ? ': too near the limit to be sure' : ''}.`,
			rule: `Look above ${shareWords(limitShare)} of a group, ${limitAh.toFixed(1)} Ah (default).`,
			next: {
				none: null,
				sure: 'Let the balancer work at the top for a week, then check again.',
				unsure:
					countedAtV === null
						? 'Read again with a finer meter at the end of the next full charge, an hour later into its tail; or watch that charge by the BMS from 90 % on and enter its end: Ah counted between the groups tell more than volts.'
						: 'Charge an hour longer at a like current, so that every group passes.'
			}[kind]
		};
	};

const fade =
	(passed: boolean) =>
	({ facts }: Said<FadeFacts>) => {
		const years = (age: number) => formatYears(age, facts.horizonYears);
		const end = `${Math.round(facts.endFraction * 100)} %`;
		return {
			title: passed
				? `Capacity has probably passed ${end} of rated`
				: `${end} of rated at an age of ${years(facts.low95)} to ${years(facts.high95)} years`,
			finding: `Median ${years(facts.medianYears)} years; ${facts.tests} capacity test${facts.tests === 1 ? '' : 's'}.`,
			doubt: facts.mostlyPrior
				? 'Almost all of this is what is typical of such cells, not of yours: the tests are too few or too rough yet.'
				: '95 % range of the true capacity, not of a new reading. It is wider than the tests alone would make it: some batteries begin to fade faster, and nothing foretells when.',
			rule: 'Capacity = q0 − a·√years − b·cycles, Bayesian, with priors typical of published ageing; with one chance in four a year from which it falls faster, up to five years after the last test (default). A test whose temperature nobody noted may be off by a season, 1.1 %.',
			next: facts.mostlyPrior ? 'Test the capacity under the same conditions once a year.' : null
		};
	};

const amps = ({ currentA }: CheckNotJudgedFacts) => `${Math.abs(currentA).toFixed(1)} A`;
const group = ({ voltageV }: CheckNotJudgedFacts) => `${voltageV!.toFixed(3)} V`;

/** Why a check is kept and not judged. */
export type NotJudgedCause =
	| 'load-too-small'
	| 'not-at-rest'
	| 'rest-on-plateau'
	| 'full-under-current'
	| 'full-on-plateau'
	| 'empty-under-current'
	| 'empty-of-balanced-at-top'
	| 'empty-on-plateau'
	| 'few-groups'
	| 'other-groups'
	| 'impossible-figures';

interface CheckNotJudgedFacts {
	/** As it was marked: load, rest, full or empty. */
	context: string;
	cause: NotJudgedCause;
	currentA: number;
	/** The highest group, or the lowest of a check marked as empty; null where none was read. */
	voltageV: number | null;
	/** Groups the check has, and the battery now. */
	groups: number;
	wantedGroups: number;
}

const WHY_NOT_JUDGED: Record<NotJudgedCause, (facts: CheckNotJudgedFacts) => string> = {
	'load-too-small': (f) =>
		`Marked as under load, but only ${amps(f)} flowed; neither charge nor joints show. Kept, not judged.`,
	'not-at-rest': (f) => `Marked as at rest, but ${amps(f)} flowed. Kept, not judged.`,
	'rest-on-plateau': () =>
		'At rest on the plateau groups a third apart in charge read alike within millivolts. Kept, not judged: read them full.',
	'full-under-current': (f) =>
		`Marked as full, but ${amps(f)} still flowed. Read again when the current is below the tail.`,
	'full-on-plateau': (f) =>
		`Marked as full, but the highest group is at ${group(f)}: on the plateau it cannot show drift. Kept, not judged.`,
	'empty-under-current': (f) => `Marked as empty, but ${amps(f)} flowed. Read again at rest.`,
	'empty-of-balanced-at-top': () =>
		'At the bottom of a battery that was balanced at the top the groups part by their capacities: that is no fault. Kept, not judged: read them full.',
	'empty-on-plateau': (f) =>
		`Marked as empty, but the lowest group is at ${group(f)}: on the plateau it cannot show drift. Kept, not judged.`,
	'few-groups': () => 'Fewer than two groups were read. Kept, not judged.',
	'other-groups': (f) => `${f.groups} groups were read, the battery has ${f.wantedGroups} now. Kept, not judged.`,
	'impossible-figures': () => 'A figure of this check is none that this battery can have. Kept, not judged: correct it.'
};

export const SERVICE_VERDICTS = {
	'no-check': verdict<Record<never, never>>()({
		means: 'Nobody has read the groups yet.',
		urgencies: ['open'],
		words: () => ({
			title: 'No service check yet',
			finding: 'Drift shows only when the groups are read at the end of a full charge.',
			doubt: null,
			rule: 'Read in the context that can answer.',
			next: 'Read every group at the end of the next full charge.'
		})
	}),
	'check-not-judged': verdict<CheckNotJudgedFacts>()({
		means: 'A check kept but not judged, and why.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts }) => ({
			title: 'Kept, not judged',
			finding: WHY_NOT_JUDGED[facts.cause](facts),
			doubt: null,
			rule: 'A reading is judged only in a context that can answer.',
			next: 'Read the groups at the end of a full charge.'
		})
	}),
	'load-apart': verdict<{ differenceV: Measured; currentA: number; mOhm: Interval; heatW: number; group: number }>()({
		means: 'A group stands apart from the others while a load draws: a joint, a tired cell, or less charge.',
		urgencies: ['look'],
		words: ({ facts: { differenceV, currentA, mOhm, heatW, group }, subject }) => ({
			title: `${subject.kind === 'group' ? subject.label : `Group ${group}`} reads ${Math.abs(differenceV.value * 1000).toFixed(0)} mV ${differenceV.value < 0 ? 'lower' : 'higher'} under load`,
			finding: `At ${Math.abs(currentA).toFixed(0)} A against the median of the others. If a joint causes it, that joint has ${Math.max(0, mOhm.low95).toFixed(2)} to ${mOhm.high95.toFixed(2)} mΩ too much and makes ${heatW.toFixed(0)} W of heat.`,
			doubt: `95 %: meter, unlike cells, unlike charge on the plateau. Near empty or full a group with less or more charge looks the same.`,
			rule: `Difference ÷ current, beyond what meters, cells (${shareWords(WORN_CELLS_SD)} of the drop of new ones, one sd) and charge explain.`,
			next: 'Load off. Feel for a warm joint once it is off, check and tighten it, then read at rest and under load in Prove.'
		})
	}),
	'load-even': verdict<{ spreadV: number; currentA: number; seesMohm: number }>()({
		means: 'No group stands apart under load beyond what cells and meters differ by.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { spreadV, currentA, seesMohm } }) => ({
			title: 'No group stands apart under load',
			finding: `${(spreadV * 1000).toFixed(0)} mV between highest and lowest at ${Math.abs(currentA).toFixed(0)} A.`,
			doubt: `A joint with less than ${seesMohm.toFixed(2)} mΩ too much does not show.`,
			rule: `Difference ÷ current, beyond what meters, cells (${shareWords(WORN_CELLS_SD)} of the drop of new ones, one sd) and charge explain.`,
			next: null
		})
	}),
	'no-drift': verdict<DriftFacts>()({
		means: 'The groups are together.',
		urgencies: ['calm'],
		calm: 'ok',
		words: drift('none')
	}),
	drift: verdict<DriftFacts>()({
		means: 'A group is apart beyond its doubt.',
		urgencies: ['look'],
		words: drift('sure')
	}),
	'drift-grows': verdict<{ ahPerMonth: Measured; checks: number; group: number }>()({
		means: 'A group moves away from the others steadily, far away or not.',
		urgencies: ['look'],
		words: ({ facts: { ahPerMonth, checks, group }, subject }) => {
			const label = subject.kind === 'group' ? subject.label : `Group ${group}`;
			const way = ahPerMonth.value < 0 ? 'falls behind' : 'runs ahead';
			return {
				title: `${label} ${way} steadily`,
				finding: `By ${Math.abs(ahPerMonth.value).toFixed(2)} ± ${(1.96 * ahPerMonth.sd).toFixed(2)} Ah a month against the others, over ${checks} checks.`,
				doubt: 'A balancer at work hides part of it; a meter or a place of reading that changed would look the same.',
				rule: `A slope away from the others over ${GROWS.checks} checks or more that chance shows of one battery in ${Math.round(1 / GROWS.chance)}, each check good to ${shareWords(MIN_SHARE_A_CHECK)} of a group at best, its doubt wider where the checks do not lie on a line; and above ${shareWords(GROWS.sharePerYear)} of a group a year (default).`,
				next: 'Its self-discharge or its balance lead differs: check the lead and the terminals, and read again at the end of the next full charge.'
			};
		}
	}),
	'drift-unsure': verdict<DriftFacts>()({
		means: 'A group seems apart, within its doubt.',
		urgencies: ['open'],
		words: drift('unsure')
	}),
	'fade-end': verdict<FadeFacts>()({
		means: 'Capacity has probably passed the chosen end.',
		urgencies: ['look'],
		follows: ['low95', 'medianYears', 'high95'],
		words: fade(true)
	}),
	'fade-bend': verdict<FadeFacts>()({
		means: 'Capacity falls faster by now than in the years before.',
		urgencies: ['look'],
		follows: ['low95', 'medianYears', 'high95'],
		words: (said) => {
			const { finding, ...words } = fade(false)(said);
			return {
				...words,
				title: 'Capacity falls faster than in the years before',
				finding: `${words.title}. ${finding} Chance that it falls faster by now: ${Math.round(said.facts.fallsFaster * 100)} %.`,
				next: 'Test again within half a year under the same conditions. Look for a group that has fallen behind, and for heat. Plan the replacement.'
			};
		}
	}),
	'fade-misfit': verdict<FadeFacts>()({
		means: 'The tests leave the band that the usual law foretells: doubts widened, odder courses admitted.',
		urgencies: ['look'],
		follows: ['low95', 'medianYears', 'high95'],
		words: (said) => {
			const { finding, ...words } = fade(false)(said);
			const odd = said.facts.oddAgeYears;
			return {
				...words,
				title: 'Capacity does not fade as such cells usually do',
				finding: `${words.title}. ${finding}${odd === null ? '' : ` The test at ${odd.toFixed(1)} years fits least.`}`,
				doubt:
					'Wider than the tests’ own doubt: the usual law does not hold. A steeper fall and an exchange that nobody wrote down are admitted.',
				next: 'Write down the temperature of each test and every exchange of a cell. Then test again under the same conditions; look for a group that has fallen behind, heat, or a tester that changed.'
			};
		}
	}),
	'fade-prior': verdict<FadeFacts>()({
		means: 'A projection that is almost all prior.',
		urgencies: ['open'],
		follows: ['low95', 'medianYears', 'high95'],
		words: fade(false)
	}),
	fade: verdict<FadeFacts>()({
		means: 'When the chosen end of capacity is passed.',
		urgencies: ['calm'],
		calm: 'note',
		follows: ['low95', 'medianYears', 'high95'],
		words: fade(false)
	})
};
