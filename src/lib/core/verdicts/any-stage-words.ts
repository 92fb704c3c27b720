import type { Words } from './verdict';

export interface AnyStageFacts {
	/** A stage whose records could not be judged: the others stand. */
	'not-judged': { stage: string; reason: string };
}

export const ANY_STAGE_WORDS: Words<AnyStageFacts> = {
	'not-judged': ({ facts: { stage, reason } }) => ({
		title: `${stage} could not be judged`,
		finding: reason,
		doubt: 'Nothing was lost: what is recorded stays, and the other stages are judged.',
		rule: 'One record never takes a page down.',
		next: 'Look at what was entered last in this stage and correct it or take it out.'
	})
};
