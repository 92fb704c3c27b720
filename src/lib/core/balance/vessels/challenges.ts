import { min } from 'd3-array';
import type { Chemistry } from '../../foundation/chemistry';
import { apart, createVessels, usableAh, whoStops, type Vessels } from './vessels';

/** What a person makes of a challenge: the vessels as they left them, or the cell or sentence they chose. */
export interface Attempt {
	vessels: Vessels;
	/** Cell from 0, or the place of the sentence; null while nothing is chosen. */
	chosen: number | null;
}

export interface Challenge {
	key: string;
	question: string;
	/** Sentences to choose from; null: a cell is chosen, or the vessels themselves are the answer. */
	sentences: readonly string[] | null;
	asks: 'cell' | 'sentence' | 'vessels';
	start: Vessels;
	/** Why it is so, told once it is solved. */
	because: string;
	/** By the simulator itself. */
	isSolved(attempt: Attempt, chemistry: Chemistry): boolean;
}

const uneven = createVessels([100, 100, 100, 100], [0.75, 0.6, 0.5, 0.45]);
/** A fifth of their charge apart, where the voltages still tell. */
const hidden = createVessels([100, 100, 100, 100], [0.5, 0.42, 0.36, 0.3]);
const unlike = createVessels([100, 92, 104, 98], 'top');
/** What is asked for in the first, Ah more. */
const MORE_AH = 10;
/** Alike to the eye, although charge lies far apart. */
const DECEIT = { volts: 0.006, share: 0.15 };
const EMPTY_SHARE = 0.01;

export const CHALLENGES: readonly Challenge[] = [
	{
		key: 'more',
		question: `Make this string give ${MORE_AH} Ah more.`,
		sentences: null,
		asks: 'vessels',
		start: uneven,
		because:
			'What one has more than the others is used by nobody: the string gives room at the top plus charge at the bottom of its worst two.',
		isSolved: ({ vessels }) => usableAh(vessels) >= usableAh(uneven) + MORE_AH
	},
	{
		key: 'trips-first',
		question: 'Which cell stops this string when it is charged?',
		sentences: null,
		asks: 'cell',
		start: uneven,
		because: 'The one with the least room left, whatever its capacity: it is full first, and its voltage runs away.',
		isSolved: ({ chosen }) => chosen === whoStops(uneven).full
	},
	{
		key: 'ends',
		question: 'All are full together. Which cell ends the discharge?',
		sentences: null,
		asks: 'cell',
		start: unlike,
		because: 'Balanced at the top, the smallest is empty first.',
		isSolved: ({ chosen }) => chosen === whoStops(unlike).empty
	},
	{
		key: 'bottom',
		question: 'They were full together. Why do they look unbalanced at the bottom?',
		sentences: ['The balance was bad: do it again', 'Their capacities differ: it is no fault', 'The BMS is broken'],
		asks: 'sentence',
		start: unlike,
		because:
			'Run it down: each gives the same Ah, so the smallest is low while the largest has some left. Balanced is said of one end.',
		isSolved: ({ chosen }) => chosen === 1
	},
	{
		key: 'deceit',
		question: 'Run it to where all read within 6 mV, although their charge lies a fifth apart.',
		sentences: null,
		asks: 'vessels',
		start: hidden,
		because: 'On the plateau a voltage says nothing of charge: alike is no proof of balanced.',
		isSolved: ({ vessels }, chemistry) => {
			const { share, volts } = apart(vessels, chemistry);
			return volts <= DECEIT.volts && share >= DECEIT.share;
		}
	},
	{
		key: 'from-below',
		question: 'Balance it at the bottom: all empty together.',
		sentences: null,
		asks: 'vessels',
		start: createVessels([100, 92, 104, 98], [0.3, 0.22, 0.35, 0.28]),
		because: 'Each was emptied alone. Charged from here the smallest is full first, and the others never are.',
		isSolved: ({ vessels }) => vessels.chargeAh.every((q) => q <= EMPTY_SHARE * min(vessels.capacityAh)!)
	}
];
