import type { Asked, Tick } from '$lib/core/test/clauses';

export const OUTCOME_WORDS = { short: 'below rating', meets: 'meets it', unsure: 'cannot tell' } as const;

const ASKED_WORDS: Record<Asked, string> = {
	full: 'full',
	rested: 'rest',
	rate: 'rate',
	temperature: 'temperature',
	cutoff: 'cut-off',
	tester: 'tester'
};
const STATE_WORDS: Record<Tick['state'], string> = {
	kept: 'as asked',
	corrected: 'reckoned back',
	unknown: 'not written down',
	void: 'says nothing of it'
};

/** One thing a protocol asks, and what became of it, in few words. */
export const tickWords = ({ asked, state, wanted, was }: Tick): string =>
	`${ASKED_WORDS[asked]} ${was === null ? STATE_WORDS[state] : state === 'kept' ? was : `${was} for ${wanted}, ${STATE_WORDS[state]}`}`;
