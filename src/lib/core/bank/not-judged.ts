import { sayFrom, verdict } from '../foundation/verdicts';

export const NOT_JUDGED_VERDICTS = {
	'not-judged': verdict<{ stage: string; reason: string }>()({
		means: 'A stage whose records could not be judged: the others stand.',
		urgencies: ['look'],
		words: ({ facts: { stage, reason } }) => ({
			title: `${stage} could not be judged`,
			finding: reason,
			doubt: 'Nothing was lost: what is recorded stays, and the other stages are judged.',
			rule: 'One record never takes a page down.',
			next: 'Look at what was entered last in this stage and correct it or take it out.'
		})
	})
};

export const say = sayFrom(NOT_JUDGED_VERDICTS);
