import type { Definitions, FactsOf, UrgencyOf } from './definition';
import type { Said, Sentences, Subject, Verdict, VerdictFacts } from './verdict';
import type { Warmth } from './warmth';

/**
 * How verdicts of a set of definitions are said: `say(code, warmth, subject, facts, members?)`. A code takes its own facts and
 * urgencies; `members` are the subjects of one that speaks of several.
 */
export const sayFrom =
	<Set extends Definitions>(definitions: Set) =>
	<Code extends keyof Set & string>(
		code: Code,
		warmth: UrgencyOf<Set[Code]> & Warmth,
		subject: Subject,
		facts: FactsOf<Set[Code]>,
		members: readonly Subject[] = []
	): Verdict => {
		const words = definitions[code]!.words as (said: Said<unknown>) => Sentences;
		return { code, warmth, subject, members, facts: facts as VerdictFacts, ...words({ subject, members, facts }) };
	};
