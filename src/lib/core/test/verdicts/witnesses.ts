import { verdict } from '../../foundation/verdicts';

interface Together {
	ah: { low95: number; likely: number; high95: number };
	wh: { low95: number; likely: number; high95: number };
	witnesses: number;
	/** Wh over Ah, V. */
	meanV: number;
}

const both = ({ ah, wh }: Together) =>
	`${ah.low95.toFixed(1)} … ${ah.high95.toFixed(1)} Ah, ${wh.low95.toFixed(0)} … ${wh.high95.toFixed(0)} Wh`;

const RULE =
	'Each by its own doubt (inverse variance), Ah and Wh held together by the mean volts of a discharge, which fall with its rate and in the cold.';

export const WITNESS_VERDICTS = {
	'witnesses-agree': verdict<Together>()({
		means: 'All that measured one charge agree.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts }) => ({
			title: 'The witnesses agree',
			finding: `${facts.witnesses} of them say ${both(facts)}.`,
			doubt: '95 %, by what each is usually good for.',
			rule: RULE,
			next: null
		})
	}),
	'witness-alone': verdict<Together>()({
		means: 'One witness alone.',
		urgencies: ['open'],
		words: ({ facts }) => ({
			title: 'One witness alone',
			finding: `It says ${both(facts)}; nothing contradicts it, and nothing bears it out.`,
			doubt: '95 %, by what it is usually good for.',
			rule: RULE,
			next: 'Set a second one against it: hours × amps, a plug meter, litres warmed.'
		})
	}),
	'witness-odd': verdict<Together & { index: number; ratio: number }>()({
		means: 'One of them contradicts the others; `ratio`: what it says by what they say.',
		urgencies: ['look'],
		words: ({ facts }) => ({
			title: `Witness ${facts.index + 1} contradicts the others`,
			finding: `It says ${facts.ratio.toFixed(2)} × what they say; without it: ${both(facts)}.`,
			doubt: '95 %, of those that agree.',
			rule: `${RULE} Further than 3 sd from what all others expect.`,
			next: 'Look at it again: a scale, a unit, a display read at another time.'
		})
	}),
	'witnesses-disagree': verdict<Together>()({
		means: 'They contradict each other and none can be named.',
		urgencies: ['look'],
		words: ({ facts }) => ({
			title: 'Cannot tell: the witnesses disagree',
			finding: `${facts.witnesses} of them fit no one charge; wide enough for all: ${both(facts)}, ${facts.meanV.toFixed(2)} V on average.`,
			doubt: 'Widened by how badly they fit each other.',
			rule: RULE,
			next: 'A third one that measures in its own way tells which of them is wrong.'
		})
	}),
	'witnesses-too-good': verdict<Together & { ratedAh: number; share: number }>()({
		means: 'Together they say more than a cell of its rating has.',
		urgencies: ['look'],
		words: ({ facts }) => ({
			title: 'Too good to be true',
			finding: `${both(facts)}: ${(100 * facts.share).toFixed(0)} % above the rated ${facts.ratedAh.toFixed(0)} Ah.`,
			doubt: '95 %, by what each is usually good for.',
			rule: `${RULE} More than max(6 %, 4 % + 2 sd) above rated is questioned.`,
			next: 'Compare the counter with a second one before this is written anywhere.'
		})
	})
};
